package app.jerboa.standin.device;

import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.EnumSet;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * A device that does what its condition lets it: before its first login it tells, and obeys
 * nothing; a head that tips over does not move.
 */
public final class Guarded implements ViscaObeys {
    private static final Set<ViscaMessage> MOVES =
            EnumSet.of(
                    ViscaMessage.RESET,
                    ViscaMessage.ABSOLUTE,
                    ViscaMessage.RELATIVE,
                    ViscaMessage.PRESET_RECALL);

    private final ViscaObeys head;
    private final Supplier<Condition> condition;

    public Guarded(ViscaObeys head, Supplier<Condition> condition) {
        this.head = head;
        this.condition = condition;
    }

    @Override
    public void handle(ViscaRequest request, Consumer<ViscaReply> reply) {
        Condition now = condition.get();
        boolean shut = !now.obeys() && !request.inquiry();
        boolean tips = !now.body().balanced() && moves(request);
        boolean lost = !now.body().calibrated() && zooms(request);
        if (shut || tips || lost) {
            reply.accept(new ViscaReply.Refused(0, ViscaError.NOT_EXECUTABLE));
        } else {
            head.handle(request, reply);
        }
    }

    private static boolean moves(ViscaRequest request) {
        return request instanceof ViscaRequest.Drive d && !d.stops()
                || request instanceof ViscaRequest.Home
                || request instanceof ViscaRequest.Sent s && MOVES.contains(s.message());
    }

    private static boolean zooms(ViscaRequest request) {
        return request instanceof ViscaRequest.Zoom z && z.speed() != 0
                || request instanceof ViscaRequest.Sent s
                        && s.message() == ViscaMessage.ZOOM_DIRECT;
    }
}
