package app.jerboa.core.bringup;

import app.jerboa.core.value.DeviceId;
import java.util.Arrays;
import java.util.Optional;

/**
 * One line of the run sheet.
 *
 * @param device whom it is about; empty for hops
 * @param laptop where the laptop must be while this step is done
 */
public record Step(Kind kind, Optional<DeviceId> device, LaptopAddress laptop) {
    /** What is done. A boot runs by itself from PLUG to SEE and from SET to RESTART. */
    public enum Kind {
        /** Move the laptop to a factory subnet. */
        HOP_OUT("hop-out"),
        /** Connect and power one device. */
        PLUG("plug"),
        /** Wait for its boot and see it answer on its factory address. */
        SEE("see"),
        /** Give it its planned address and save. */
        SET("set"),
        /** Wait for the restart on the new address. */
        RESTART("restart"),
        /** Move the laptop home. */
        HOP_HOME("hop-home"),
        /** Ask it at its planned address. */
        VERIFY("verify");

        private final String wire;

        Kind(String wire) {
            this.wire = wire;
        }

        public String wire() {
            return wire;
        }

        public static Optional<Kind> fromWire(String name) {
            return Arrays.stream(values()).filter(k -> k.wire.equals(name)).findFirst();
        }
    }
}
