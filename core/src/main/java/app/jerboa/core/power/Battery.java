package app.jerboa.core.power;

/** How long a battery lasts. */
public final class Battery {
    /** What is used of its watt-hours before it is changed. */
    private static final double USABLE = 0.9;

    private Battery() {}

    /**
     * @param watts that it gives, above 0
     */
    public static double hours(double wattHours, double watts) {
        return wattHours * USABLE / watts;
    }
}
