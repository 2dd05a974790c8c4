package app.jerboa.standin.device;

import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.function.Consumer;

/** Whatever hears VISCA: a head, or a camera that does not move. */
public interface ViscaObeys {
    /** Obeys; replies go to {@code reply} now or, for a move with an end, on arrival. */
    void handle(ViscaRequest request, Consumer<ViscaReply> reply);
}
