package app.jerboa.core.net;

import app.jerboa.core.value.DeviceId;
import java.util.Optional;

/**
 * One device getting an address, and why.
 *
 * @param group moves with one number belong together: a counting run and the devices that make room
 *     for it
 */
public record Move(DeviceId device, Optional<Ipv4> from, Ipv4 to, Reason reason, int group) {
    public enum Reason {
        /** It had none. */
        UNPLANNED,
        /** Its own may not be used. */
        NOT_USABLE,
        /** It joins the run its controller counts through. */
        JOINS_RUN,
        /** It makes room for such a run. */
        MAKES_ROOM
    }
}
