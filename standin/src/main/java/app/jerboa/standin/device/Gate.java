package app.jerboa.standin.device;

import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Stands between a port and its device: what is sent there reaches whoever holds the address just
 * then, or nobody.
 */
public interface Gate {
    /** What hears VISCA there now. */
    Optional<ViscaObeys> hearer();

    /** What comes in reaches the port's own device; else a stream breaks. */
    boolean own();

    /** How long what is sent is on its way there, and back again, in milliseconds. */
    default int delayMillis() {
        return 0;
    }

    /** Nobody stands between. */
    static Gate open(Optional<ViscaObeys> obeys) {
        return new Gate() {
            @Override
            public Optional<ViscaObeys> hearer() {
                return obeys;
            }

            @Override
            public boolean own() {
                return true;
            }
        };
    }

    /** The one that hears at this moment, asked anew for each message. */
    default ViscaObeys voice() {
        return new ViscaObeys() {
            @Override
            public void handle(ViscaRequest request, Consumer<ViscaReply> reply) {
                hearer().ifPresent(h -> h.handle(request, reply));
            }
        };
    }
}
