package app.jerboa.core.motion;

/**
 * Where a stick is pushed, each axis -1 to 1, 0 in the middle.
 *
 * @param pan right
 * @param tilt up
 * @param zoom tele
 * @param focus far
 * @param roll clockwise, as the camera sees
 * @param rail away from its start
 */
public record Push(double pan, double tilt, double zoom, double focus, double roll, double rail) {
    public static final Push CENTRE = new Push(0, 0, 0, 0, 0, 0);

    public static Push of(double pan, double tilt) {
        return new Push(pan, tilt, 0, 0, 0, 0);
    }

    /** Off the middle on some axis. */
    public boolean off() {
        return !equals(CENTRE);
    }
}
