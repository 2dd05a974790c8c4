package app.jerboa.core.motion;

/** How long a head takes, and how far it goes on. */
public final class Moves {
    private Moves() {}

    /** Horizontal angle of view in degrees: 2 atan(w / 2f). */
    public static double angleOfView(double sensorWidthMm, double focalMm) {
        return Math.toDegrees(2 * Math.atan(sensorWidthMm / (2 * focalMm)));
    }

    /**
     * Seconds for a move with equal ramps up and down: d/v + v/a where top speed is reached, else 2
     * sqrt(d/a).
     *
     * @param degrees 0 or more
     * @param top degrees a second, above 0
     * @param acceleration degrees a second², above 0
     */
    public static double seconds(double degrees, double top, double acceleration) {
        return degrees > top * top / acceleration
                ? degrees / top + top / acceleration
                : 2 * Math.sqrt(degrees / acceleration);
    }

    /**
     * Degrees a head goes on after the stick is let go: speed times delay, and the braking.
     *
     * @param delaySeconds of control and picture together
     */
    public static double late(double degreesPerSecond, double delaySeconds) {
        return degreesPerSecond * delaySeconds;
    }

    /** Degrees of braking from a speed: v² / 2a. */
    public static double braking(double degreesPerSecond, double acceleration) {
        return degreesPerSecond * degreesPerSecond / (2 * acceleration);
    }
}
