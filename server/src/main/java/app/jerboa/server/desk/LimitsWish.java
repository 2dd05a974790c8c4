package app.jerboa.server.desk;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Steering;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
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

    static LimitsWish of(Steering steering) {
        return new LimitsWish(
                degrees(steering.left()),
                degrees(steering.right()),
                degrees(steering.down()),
                degrees(steering.up()));
    }

    private static Optional<Double> degrees(OptionalInt limit) {
        return limit.isPresent()
                ? Optional.of(limit.getAsInt() / Steering.HUNDREDTHS)
                : Optional.empty();
    }

    /** As fields of the device, in hundredths of a degree. */
    Map<Field, String> texts() {
        return Map.of(
                Field.SOFT_LEFT, text(panLeft),
                Field.SOFT_RIGHT, text(panRight),
                Field.SOFT_DOWN, text(tiltDown),
                Field.SOFT_UP, text(tiltUp));
    }

    private static String text(Optional<Double> degrees) {
        return degrees.map(d -> Long.toString(Math.round(d * Steering.HUNDREDTHS))).orElse("");
    }

    /**
     * @throws Problem naming the field, for limits that leave nothing between them
     */
    void insist() {
        within("panLeft", panLeft);
        within("panRight", panRight);
        within("tiltDown", tiltDown);
        within("tiltUp", tiltUp);
        below("panRight", panLeft, panRight, Words.say("refused.limit-right"));
        below("tiltUp", tiltDown, tiltUp, Words.say("refused.limit-upper"));
    }

    private static void within(String field, Optional<Double> value) {
        if (value.isPresent() && !(Math.abs(value.get()) <= FARTHEST)) {
            throw bad(field, Words.say("refused.limit"));
        }
    }

    private static void below(
            String field, Optional<Double> low, Optional<Double> high, String why) {
        // Compared as they are kept.
        if (low.isPresent()
                && high.isPresent()
                && Math.round(low.get() * Steering.HUNDREDTHS)
                        >= Math.round(high.get() * Steering.HUNDREDTHS)) {
            throw bad(field, why);
        }
    }

    private static Problem bad(String field, String why) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", why, Map.of("field", field));
    }
}
