package app.jerboa.core.bringup;

import app.jerboa.core.value.DeviceId;
import java.util.Arrays;
import java.util.Optional;

/**
 * One line of the run sheet.
 *
 * @param device it is about; empty for hops
 * @param laptop where the laptop must be while this step is done, or the address it is given more
 */
public record Step(Kind kind, Optional<DeviceId> device, LaptopAddress laptop) {
    /** What is done. A boot runs by itself after whatever switches power on or restarts. */
    public enum Kind {
        /** Set what must be set while it is within reach: dials, IDs, serial settings. */
        REACH("reach", Work.SET, false, false),
        /** Move the laptop to a factory subnet. */
        HOP_OUT("hop-out", Work.HOP, false, false),
        /** Give the laptop one more address. */
        ALIAS("alias", Work.ALIAS, false, false),
        /** Connect and power one device. */
        PLUG("plug", Work.PLUG, false, true),
        /** Connect one device to a port that is off. */
        PLUG_OFF("plug-off", Work.PLUG, false, false),
        /** Enable its port. */
        PORT("port", Work.PORT, false, true),
        /** Wait for its boot and see it answer on its factory address. */
        SEE("see", null, true, false),
        /** Put it back to its factory state. */
        RESET("reset", Work.RESET, true, true),
        /** Load newer firmware. */
        UPDATE("update", Work.UPDATE, true, true),
        /** Switch it to a lease and read the lease. */
        LEASE("lease", Work.LEASE, true, true),
        /** Find it by a search, and put it on a lease. */
        SEARCH("search", Work.SEARCH, true, true),
        /** Pair it by the code that it shows. */
        PAIR("pair", Work.PAIR, true, true),
        /** Give it its planned address and save. */
        SET("set", Work.SET, true, true),
        /** Wait for the restart on the new address. */
        RESTART("restart", null, true, false),
        /** Stick its label on. */
        LABEL("label", Work.LABEL, false, false),
        /** Move the laptop home. */
        HOP_HOME("hop-home", Work.HOP, false, false),
        /** Ask it at its planned address. */
        VERIFY("verify", Work.VERIFY, true, false),
        /** Take the lead of a camera to where the laptop can ask over it. */
        LEAD_OUT("lead-out", Work.PLUG, false, false),
        /** Ask one that has no address of its own, over its lead or its bridge. */
        ASK("ask", Work.VERIFY, false, false),
        /** Put a lead back where it is planned. */
        LEAD_HOME("lead-home", Work.PLUG, false, false),
        /** Put its cameras into a controller. */
        ENTER("enter", Work.SET, false, false),
        /** Make a connection that is more than an address: pair, join, link. */
        JOIN("join", Work.SET, false, false),
        /** Set a stream up and see it arrive. */
        STREAM("stream", Work.SET, false, false);

        private final String wire;
        private final Work work;
        private final boolean waits;
        private final boolean boots;

        Kind(String wire, Work work, boolean waits, boolean boots) {
            this.wire = wire;
            this.work = work;
            this.waits = waits;
            this.boots = boots;
        }

        public String wire() {
            return wire;
        }

        /** The technician's work in it; empty when there is only waiting. */
        public Optional<Work> work() {
            return Optional.ofNullable(work);
        }

        /** It can only be done when the boot of its device is over. */
        public boolean waits() {
            return waits;
        }

        /** It makes its device boot. */
        public boolean boots() {
            return boots;
        }

        public static Optional<Kind> fromWire(String name) {
            return Arrays.stream(values()).filter(k -> k.wire.equals(name)).findFirst();
        }
    }
}
