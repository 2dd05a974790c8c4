package app.jerboa.core.motion;

/**
 * How far a head is to point, narrower than it can. All are degrees from its middle, right and up
 * positive; an infinite one is none.
 *
 * @param left below {@code right}
 * @param down below {@code up}
 */
public record SoftLimits(double left, double right, double down, double up) {
    public static final SoftLimits NONE =
            new SoftLimits(
                    Double.NEGATIVE_INFINITY,
                    Double.POSITIVE_INFINITY,
                    Double.NEGATIVE_INFINITY,
                    Double.POSITIVE_INFINITY);

    /**
     * What passes between a place and the head obeying what was made of it: the reading is up to
     * 0.1 s old, the steps are chosen anew each 0.02 s, and the command is on its way.
     */
    private static final double LATE_SECONDS = 0.3;

    /** A head whose profile does not say how it brakes is taken for a slow one, in degrees/s². */
    public static final double USUAL_BRAKING = 90;

    /** So near is there. */
    private static final double NEAR_DEGREES = 0.15;

    /**
     * @throws IllegalArgumentException for limits that leave nothing between them
     */
    public SoftLimits {
        if (!(left < right && down < up)) {
            throw new IllegalArgumentException(
                    "left must be below right and down below up, got "
                            + left
                            + ", "
                            + right
                            + ", "
                            + down
                            + ", "
                            + up);
        }
    }

    public boolean isNone() {
        return equals(NONE);
    }

    public boolean holds(double pan, double tilt) {
        return pan >= left && pan <= right && tilt >= down && tilt <= up;
    }

    /** Degrees by which a place is outside, on the axis where that is more; 0 between them. */
    public double beyond(double pan, double tilt) {
        return Math.max(
                0, Math.max(Math.max(left - pan, pan - right), Math.max(down - tilt, tilt - up)));
    }

    /**
     * Those steps, slowed down before a limit and 0 at it; the way back is free. The fastest v that
     * still stops before it: v x delay + v² / 2a is what is left.
     *
     * @param pan where it said that it points, in degrees
     * @param braking of the head in degrees/s², above 0
     */
    public StickSpeeds.Steps keep(
            StickSpeeds.Steps wanted,
            double pan,
            double tilt,
            SpeedScale panScale,
            SpeedScale tiltScale,
            double braking) {
        return wanted.withPanTilt(
                kept(wanted.pan(), pan - left, right - pan, panScale, braking),
                kept(wanted.tilt(), tilt - down, up - tilt, tiltScale, braking));
    }

    private static int kept(
            int step, double below, double above, SpeedScale scale, double braking) {
        double left = step < 0 ? below : above;
        if (step == 0 || Double.isInfinite(left)) {
            return step;
        }
        double most =
                braking
                        * (Math.sqrt(LATE_SECONDS * LATE_SECONDS + 2 * Math.max(0, left) / braking)
                                - LATE_SECONDS);
        if (left <= NEAR_DEGREES || most < scale.slowest()) {
            return 0;
        }
        int kept = Math.min(Math.abs(step), scale.stepWithin(most));
        return step < 0 ? -kept : kept;
    }
}
