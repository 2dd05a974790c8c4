package app.jerboa.core.job;

import app.jerboa.core.motion.SoftLimits;
import java.util.OptionalInt;

/**
 * How every desk steers a head, whoever drives it. Limits are hundredths of a degree from its
 * middle, right and up positive; empty for none.
 *
 * @param panRound a stick right is head left: it hangs so that its picture would go the wrong way
 * @param tiltRound a stick up is head down
 * @param left below {@code right}
 * @param down below {@code up}
 */
public record Steering(
        boolean panRound,
        boolean tiltRound,
        OptionalInt left,
        OptionalInt right,
        OptionalInt down,
        OptionalInt up) {
    /** Of one degree. */
    public static final double HUNDREDTHS = 100;

    public static final Steering PLAIN =
            new Steering(
                    false,
                    false,
                    OptionalInt.empty(),
                    OptionalInt.empty(),
                    OptionalInt.empty(),
                    OptionalInt.empty());

    public SoftLimits limits() {
        return new SoftLimits(
                degrees(left, Double.NEGATIVE_INFINITY),
                degrees(right, Double.POSITIVE_INFINITY),
                degrees(down, Double.NEGATIVE_INFINITY),
                degrees(up, Double.POSITIVE_INFINITY));
    }

    private static double degrees(OptionalInt limit, double none) {
        return limit.isPresent() ? limit.getAsInt() / HUNDREDTHS : none;
    }
}
