package app.jerboa.core.job.cabling;

import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Signal;
import java.util.Optional;

/** May two sockets be joined, whatever else is in them? */
public final class Joining {
    private Joining() {}

    /** Empty when they may, with the right cable. */
    public static Optional<Refusal> refusal(DeviceSocket one, DeviceSocket other) {
        Signal a = one.signal();
        Signal b = other.signal();
        if (one.join() == Join.CONSOLE || other.join() == Join.CONSOLE) {
            return Optional.of(Refusal.CONSOLE);
        } else if (a.serial() && b == Signal.NETWORK || b.serial() && a == Signal.NETWORK) {
            return Optional.of(Refusal.SERIAL_INTO_NETWORK);
        } else if (a != b || a == Signal.NONE) {
            return Optional.of(Refusal.KIND);
        } else if (!one.join().flow().meets(other.join().flow())) {
            return Optional.of(a.serial() ? Refusal.SERIAL_DIRECTION : Refusal.DIRECTION);
        }
        return Optional.empty();
    }

    public static Optional<Refusal> refusal(DeviceSocket one, DeviceSocket other, Cable cable) {
        Optional<Refusal> sockets = refusal(one, other);
        boolean carried = one.signal().cables().contains(cable);
        return sockets.isEmpty() && !carried ? Optional.of(Refusal.CABLE) : sockets;
    }

    /** How many leads go into one socket: bus terminals take the one that comes and that goes. */
    public static int room(DeviceSocket socket) {
        return socket.signal() == Signal.RS_485 ? Integer.MAX_VALUE : 1;
    }
}
