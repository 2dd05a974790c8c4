package app.jerboa.core.power;

/** Do a source's volts suit a device? */
public final class DcVolts {
    /** Supplies of one nominal voltage are this close. */
    private static final double CLOSE = 0.5;

    /** Beyond this share of its nominal volts a device is in danger. */
    private static final double MOST_SHARE = 1.25;

    private DcVolts() {}

    public static boolean same(double volts, double nominal) {
        return Math.abs(volts - nominal) <= CLOSE;
    }

    public static boolean tooMany(double volts, double nominal) {
        return nominal > 0 && volts > nominal * MOST_SHARE;
    }

    /** Neither another nominal voltage below its own nor dangerously many. */
    public static boolean suits(double volts, double nominal) {
        return volts + CLOSE >= nominal && !tooMany(volts, nominal);
    }
}
