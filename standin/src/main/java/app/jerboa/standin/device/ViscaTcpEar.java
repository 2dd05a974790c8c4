package app.jerboa.standin.device;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaFramer;
import app.jerboa.wire.visca.ViscaReply;
import java.util.function.Consumer;

/** Bare VISCA frames in a TCP stream to one head. */
public final class ViscaTcpEar implements TcpPort.Ear {
    private static final int CAMERA = 1;

    private final Gate gate;
    private final ViscaVoice voice;
    private ViscaFramer framer = new ViscaFramer();

    public ViscaTcpEar(Gate gate) {
        this.gate = gate;
        this.voice = new ViscaVoice(gate.voice(), CAMERA);
    }

    @Override
    public boolean stays() {
        return gate.own();
    }

    @Override
    public synchronized void hear(Octets chunk, Consumer<Octets> reply) {
        for (Decoded<Octets> frame : framer.accept(chunk.toArray())) {
            frame.toOptional()
                    .ifPresentOrElse(
                            f -> voice.hear(f, reply),
                            () ->
                                    reply.accept(
                                            new ViscaReply.Refused(0, ViscaError.LENGTH)
                                                    .encode(CAMERA)));
        }
    }

    @Override
    public synchronized void afresh() {
        framer = new ViscaFramer();
    }
}
