package app.jerboa.core.bringup;

import java.util.Arrays;
import java.util.Optional;

/** How new devices are reached. */
public enum BringUpMethod {
    /** The laptop hops to each factory subnet once, and home to verify all. */
    HOP("hop"),
    /** It hops out and home for every device, and sees each at its place before the next. */
    HOP_EACH("hop-each"),
    /** It gets one more address for every factory subnet at the start. */
    ALIAS("second-address"),
    /** Devices are switched to a lease first; those that cannot are reached as by ALIAS. */
    LEASE("lease"),
    /** All are connected with their ports off; one port of rivals at a time is enabled. */
    PORT("switch-port");

    private final String wire;

    BringUpMethod(String wire) {
        this.wire = wire;
    }

    public String wire() {
        return wire;
    }

    public static Optional<BringUpMethod> fromWire(String name) {
        return Arrays.stream(values()).filter(m -> m.wire.equals(name)).findFirst();
    }
}
