package app.jerboa.server.desk;

import app.jerboa.core.motion.SoftLimits;
import app.jerboa.server.platform.Problem;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/**
 * Between which places a head is to point, in degrees from its middle, right and up positive; empty
 * for no limit on that side.
 */
record LimitsWish(
        Optional<Double> panLeft,
        Optional<Double> panRight,
        Optional<Double> tiltDown,
        Optional<Double> tiltUp) {
    private static final double FARTHEST = 720;

    static final LimitsWish NONE =
            new LimitsWish(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    static SoftLimits limits(Double left, Double right, Double down, Double up) {
        return new SoftLimits(
                left == null ? Double.NEGATIVE_INFINITY : left,
                right == null ? Double.POSITIVE_INFINITY : right,
                down == null ? Double.NEGATIVE_INFINITY : down,
                up == null ? Double.POSITIVE_INFINITY : up);
    }

    boolean isNone() {
        return equals(NONE);
    }

    /**
     * @throws Problem naming the field, for limits that leave nothing between them
     */
    void insist() {
        within("panLeft", panLeft);
        within("panRight", panRight);
        within("tiltDown", tiltDown);
        within("tiltUp", tiltUp);
        below("panRight", panLeft, panRight, "The right limit must be right of the left one.");
        below("tiltUp", tiltDown, tiltUp, "The upper limit must be above the lower one.");
    }

    private static void within(String field, Optional<Double> value) {
        if (value.isPresent() && !(Math.abs(value.get()) <= FARTHEST)) {
            throw bad(field, "A limit is -720 to 720 degrees.");
        }
    }

    private static void below(
            String field, Optional<Double> low, Optional<Double> high, String why) {
        if (low.isPresent() && high.isPresent() && low.get() >= high.get()) {
            throw bad(field, why);
        }
    }

    private static Problem bad(String field, String why) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", why, Map.of("field", field));
    }

    /** For the logbook. */
    String inWords() {
        return (side("left", panLeft)
                        + side("right", panRight)
                        + side("down", tiltDown)
                        + side("up", tiltUp))
                .strip();
    }

    private static String side(String name, Optional<Double> at) {
        return at.map(a -> " " + name + " " + Math.round(a * 10) / 10.0 + "°").orElse("");
    }
}
