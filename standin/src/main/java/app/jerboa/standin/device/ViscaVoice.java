package app.jerboa.standin.device;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.function.Consumer;

/** A head as VISCA frames reach it, under a number of its own. */
public final class ViscaVoice {
    private final ViscaObeys head;
    private final int camera;
    private static final int TO_ONE = 0x80;

    /**
     * @param camera 1 to 7; always 1 over a network
     */
    public ViscaVoice(ViscaObeys head, int camera) {
        this.head = head;
        this.camera = camera;
    }

    /** Obeys a frame that is for it, and refuses what it cannot read. */
    public void hear(Octets frame, Consumer<Octets> reply) {
        ViscaRequest request =
                ViscaRequest.decode(frame)
                        .toOptional()
                        .filter(a -> a.camera() == camera)
                        .map(ViscaRequest.Addressed::request)
                        .orElse(null);
        if (request == null && frame.size() > 2 && frame.at(0) == (TO_ONE | camera)) {
            request = new ViscaRequest.Raw(frame.slice(1, frame.size() - 1));
        }
        if (request == null) {
            reply.accept(new ViscaReply.Refused(0, ViscaError.SYNTAX).encode(camera));
        } else {
            head.handle(request, r -> reply.accept(r.encode(camera)));
        }
    }
}
