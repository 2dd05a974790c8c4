package app.jerboa.core.motion;

/**
 * How fast an axis can be driven, and how it brakes.
 *
 * @param braking in units/s², above 0
 */
public record AxisDrive(SpeedScale scale, double braking) {
    /** An axis that does not say how it brakes is taken to stand within a second. */
    private static final double STANDS_WITHIN_SECONDS = 1;

    /** Of which no more is known than how fast it goes. */
    public static AxisDrive of(SpeedScale scale) {
        return new AxisDrive(scale, scale.fastest() / STANDS_WITHIN_SECONDS);
    }
}
