package app.jerboa.core.prove;

import java.util.OptionalDouble;

/** When a head that was stopped counts as standing, and how long it may take. */
public final class Standstill {
    /** Two readings so far apart must agree. */
    public static final int BETWEEN_MILLIS = 200;

    private static final int LEAST_MILLIS = 500;
    private static final int MARGIN_MILLIS = 200;

    private Standstill() {}

    /** Equal within one count. */
    public static boolean agree(int before, int after) {
        return Math.abs((long) before - after) <= 1;
    }

    /**
     * Milliseconds from the stop until it must stand.
     *
     * @param degPerSecond its speed when it was stopped, 0 or more
     * @param degPerSecond2 how fast it slows down; empty where that is not known
     * @param delayMillis measured from a question to its answer
     */
    public static int allowedMillis(
            double degPerSecond, OptionalDouble degPerSecond2, int delayMillis) {
        double slowing =
                degPerSecond2.isPresent() && degPerSecond2.getAsDouble() > 0
                        ? 1000 * degPerSecond / degPerSecond2.getAsDouble()
                        : 0;
        return Math.max(LEAST_MILLIS, (int) Math.ceil(slowing + delayMillis) + MARGIN_MILLIS);
    }
}
