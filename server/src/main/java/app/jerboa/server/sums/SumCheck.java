package app.jerboa.server.sums;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Map;
import org.springframework.http.HttpStatus;

/** Refusals of the calculators, each at its field. */
final class SumCheck {
    private SumCheck() {}

    static void insist(String field, boolean holds, String range) {
        if (!holds) {
            throw impossible(field, "it must be " + range);
        }
    }

    /** Above 0 and at most so much. */
    static double positive(String field, double value, double most) {
        insist(field, value > 0 && value <= most, "above 0 to " + plain(most));
        return value;
    }

    static double between(String field, double value, double least, double most) {
        insist(field, value >= least && value <= most, plain(least) + " to " + plain(most));
        return value;
    }

    static int between(String field, int value, int least, int most) {
        insist(field, value >= least && value <= most, least + " to " + most);
        return value;
    }

    static <T> T needed(String field, T value) {
        insist(field, value != null, "given");
        return value;
    }

    static Problem impossible(String field, String reason) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                Words.say("refused.sum-value", Map.of("field", field, "why", reason)),
                Map.of("field", field));
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }
}
