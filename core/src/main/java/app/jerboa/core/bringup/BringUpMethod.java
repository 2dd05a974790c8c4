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
    /** Devices are found by a search and put on a lease; the others are reached as by ALIAS. */
    SEARCH("search"),
    /** Devices are paired by a code that they show; the others are reached as by ALIAS. */
    PAIRING("pairing-code"),
    /** All are connected with their ports off; one port of rivals at a time is enabled. */
    PORT("switch-port");

    private final String wire;

    BringUpMethod(String wire) {
        this.wire = wire;
    }

    public String wire() {
        return wire;
    }

    /**
     * The work that brings a device into the house's subnet while the laptop stays at home; empty
     * where the laptop goes to the device.
     */
    Optional<Work> fetches() {
        return switch (this) {
            case LEASE -> Optional.of(Work.LEASE);
            case SEARCH -> Optional.of(Work.SEARCH);
            case PAIRING -> Optional.of(Work.PAIR);
            case HOP, HOP_EACH, ALIAS, PORT -> Optional.empty();
        };
    }

    public static Optional<BringUpMethod> fromWire(String name) {
        return Arrays.stream(values()).filter(m -> m.wire.equals(name)).findFirst();
    }
}
