package app.jerboa.server.desk;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.SoftLimit;
import app.jerboa.core.job.Steering;
import app.jerboa.core.job.edit.LimitRules;
import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.value.Reason;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/**
 * Between which places a head is to go: degrees from its middle, right, up and clockwise positive,
 * and metres from the start of its rail; empty for no limit on that side.
 */
record LimitsWish(
        Optional<Double> panLeft,
        Optional<Double> panRight,
        Optional<Double> tiltDown,
        Optional<Double> tiltUp,
        Optional<Double> rollLeft,
        Optional<Double> rollRight,
        Optional<Double> railFrom,
        Optional<Double> railTo) {
    private static final double FARTHEST = 720;
    private static final double FARTHEST_MORE = 360;

    static LimitsWish of(Steering steering) {
        return new LimitsWish(
                place(steering, SoftLimit.LEFT),
                place(steering, SoftLimit.RIGHT),
                place(steering, SoftLimit.DOWN),
                place(steering, SoftLimit.UP),
                place(steering, SoftLimit.ROLL_LEFT),
                place(steering, SoftLimit.ROLL_RIGHT),
                place(steering, SoftLimit.RAIL_FROM),
                place(steering, SoftLimit.RAIL_TO));
    }

    private static Optional<Double> place(Steering steering, SoftLimit which) {
        return Optional.ofNullable(steering.softLimits().get(which))
                .map(l -> l / SoftLimit.HUNDREDTHS);
    }

    /** As fields of the device, in hundredths. */
    Map<Field, String> texts() {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        texts.put(Field.SOFT_LEFT, text(panLeft));
        texts.put(Field.SOFT_RIGHT, text(panRight));
        texts.put(Field.SOFT_DOWN, text(tiltDown));
        texts.put(Field.SOFT_UP, text(tiltUp));
        texts.put(Field.SOFT_ROLL_LEFT, text(rollLeft));
        texts.put(Field.SOFT_ROLL_RIGHT, text(rollRight));
        texts.put(Field.SOFT_RAIL_FROM, text(railFrom));
        texts.put(Field.SOFT_RAIL_TO, text(railTo));
        return texts;
    }

    private static String text(Optional<Double> place) {
        return place.map(p -> Long.toString(hundredths(p))).orElse("");
    }

    private static long hundredths(double place) {
        return Math.round(place * SoftLimit.HUNDREDTHS);
    }

    /**
     * @throws Problem naming the field, for limits that leave nothing between them, or on an axis
     *     that the head lacks
     */
    void insist(Device device) {
        on(device, "rollLeft", rollLeft, MotionAxis.ROLL);
        on(device, "rollRight", rollRight, MotionAxis.ROLL);
        on(device, "railFrom", railFrom, MotionAxis.RAIL);
        on(device, "railTo", railTo, MotionAxis.RAIL);
        String degrees = Words.say("refused.limit");
        within("panLeft", panLeft, FARTHEST, degrees);
        within("panRight", panRight, FARTHEST, degrees);
        within("tiltDown", tiltDown, FARTHEST, degrees);
        within("tiltUp", tiltUp, FARTHEST, degrees);
        String ofRoll = Words.say("refused.limit-of-roll");
        within("rollLeft", rollLeft, FARTHEST_MORE, ofRoll);
        within("rollRight", rollRight, FARTHEST_MORE, ofRoll);
        String ofRail = Words.say("refused.limit-of-rail");
        within("railFrom", railFrom, FARTHEST_MORE, ofRail);
        within("railTo", railTo, FARTHEST_MORE, ofRail);
        below("panRight", panLeft, panRight, Words.say("refused.limit-right"));
        below("tiltUp", tiltDown, tiltUp, Words.say("refused.limit-upper"));
        below("rollRight", rollLeft, rollRight, Words.say("refused.limit-right"));
        below("railTo", railFrom, railTo, Words.say("refused.limit-on"));
    }

    private static void on(Device device, String field, Optional<Double> place, MotionAxis axis) {
        Optional<Reason> missing =
                place.isPresent() ? LimitRules.missing(device, axis) : Optional.empty();
        if (missing.isPresent()) {
            throw bad(
                    field,
                    Words.say(
                            "refused.limit-nowhere",
                            Map.of("device", device.name(), "why", Words.say(missing.get()))));
        }
    }

    private static void within(
            String field, Optional<Double> value, double farthest, String refusal) {
        if (value.isPresent() && !(Math.abs(value.get()) <= farthest)) {
            throw bad(field, refusal);
        }
    }

    private static void below(
            String field, Optional<Double> low, Optional<Double> high, String why) {
        // Compared as they are kept.
        if (low.isPresent()
                && high.isPresent()
                && hundredths(low.get()) >= hundredths(high.get())) {
            throw bad(field, why);
        }
    }

    private static Problem bad(String field, String why) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", why, Map.of("field", field));
    }
}
