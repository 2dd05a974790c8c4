package app.jerboa.core.prove;

import app.jerboa.core.motion.SpeedScale;

/** How far and how fast a head is driven to see that it moves. */
public final class TestStep {
    /** At most, so that nothing is struck. */
    public static final double MOST_DEGREES = 3;

    /** Of the angle of view. */
    private static final double SHARE_OF_VIEW = 0.1;

    /** So long it may take, so that what moves can still be watched. */
    private static final double SECONDS = 1;

    private TestStep() {}

    /** A tenth of the view, at most 3 degrees. */
    public static double degrees(double viewDegrees) {
        return Math.min(MOST_DEGREES, SHARE_OF_VIEW * viewDegrees);
    }

    /** The slowest step that gets there in about a second; the last one where none does. */
    public static int step(SpeedScale scale, double degrees) {
        int step = 1;
        while (step < scale.steps() && scale.at(step) * SECONDS < degrees) {
            step++;
        }
        return step;
    }

    /** Away from the end of its travel that is nearer. */
    public static int way(double atDegrees, double leastDegrees, double mostDegrees) {
        return mostDegrees - atDegrees >= atDegrees - leastDegrees ? 1 : -1;
    }
}
