package app.jerboa.core.motion;

/** What of a head goes from place to place: pan, tilt and roll in degrees, a rail in metres. */
public enum MotionAxis {
    PAN(0.1),
    TILT(0.1),
    ROLL(0.1),
    RAIL(0.005);

    private final double near;

    MotionAxis(double near) {
        this.near = near;
    }

    /** So near is there: a head that tells tenths of a degree tells no better. */
    double near() {
        return near;
    }
}
