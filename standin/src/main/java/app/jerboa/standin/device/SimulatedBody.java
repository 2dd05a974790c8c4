package app.jerboa.standin.device;

import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.List;
import java.util.function.Consumer;

/** A camera without a head: it has knobs, and moves nothing. */
public final class SimulatedBody implements ViscaObeys {
    private static final Version VERSION = new Version(0x7EB0, 0x0021, 0x0101, 2);

    private final KnobVoice knobs;

    public SimulatedBody(KnobBank bank) {
        this.knobs = new KnobVoice(bank);
    }

    @Override
    public void handle(ViscaRequest request, Consumer<ViscaReply> reply) {
        List<ViscaReply> replies = List.of(new ViscaReply.Refused(0, ViscaError.NOT_EXECUTABLE));
        if (request instanceof ViscaRequest.AskVersion) {
            replies = List.of(VERSION.answer());
        } else if (request instanceof ViscaRequest.Clear) {
            replies = List.of(new ViscaReply.Completed(0));
        } else if (request instanceof ViscaRequest.Raw it) {
            replies = knobs.hear(it.body()).orElse(List.of(syntax()));
        } else if (request instanceof ViscaRequest.Sent it) {
            replies = knobs.hear(it).orElse(List.of(syntax()));
        }
        replies.forEach(reply);
    }

    private static ViscaReply syntax() {
        return new ViscaReply.Refused(0, ViscaError.SYNTAX);
    }
}
