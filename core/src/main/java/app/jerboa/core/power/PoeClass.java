package app.jerboa.core.power;

import java.util.List;

/**
 * Classes of power over Ethernet, by IEEE 802.3.
 *
 * <p>Watts are what a port reserves and what a device may draw; volts are the least a port gives.
 */
public enum PoeClass {
    CLASS_0(15.4, 12.95, 2, 44, 37),
    CLASS_1(4.0, 3.84, 2, 44, 37),
    CLASS_2(7.0, 6.49, 2, 44, 37),
    CLASS_3(15.4, 12.95, 2, 44, 37),
    CLASS_4(30, 25.5, 2, 50, 42.5),
    CLASS_5(45, 40, 4, 50, 42.5),
    CLASS_6(60, 51, 4, 50, 42.5),
    CLASS_7(75, 62, 4, 52, 41.1),
    CLASS_8(90, 71.3, 4, 52, 41.1);

    private static final List<PoeClass> ALL = List.of(values());

    private final double portWatts;
    private final double deviceWatts;
    private final int pairs;
    private final double portVolts;
    private final double deviceVolts;

    PoeClass(
            double portWatts, double deviceWatts, int pairs, double portVolts, double deviceVolts) {
        this.portWatts = portWatts;
        this.deviceWatts = deviceWatts;
        this.pairs = pairs;
        this.portVolts = portVolts;
        this.deviceVolts = deviceVolts;
    }

    /**
     * @param number 0 to 8
     */
    public static PoeClass of(int number) {
        return ALL.get(number);
    }

    /** 0 to 8, by the standard. */
    public int number() {
        return name().charAt(name().length() - 1) - '0';
    }

    /** Reserved at the switch, in watts. */
    public double portWatts() {
        return portWatts;
    }

    /** Usable at the device, in watts. */
    public double deviceWatts() {
        return deviceWatts;
    }

    /** Pairs that carry it, 2 or 4. */
    public int pairs() {
        return pairs;
    }

    /** Least volts a port gives. */
    public double portVolts() {
        return portVolts;
    }

    /** Least volts a device must work with. */
    public double deviceVolts() {
        return deviceVolts;
    }
}
