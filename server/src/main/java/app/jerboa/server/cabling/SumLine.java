package app.jerboa.server.cabling;

import app.jerboa.server.words.Words;
import java.util.Map;

/**
 * One step of a sum, ready to be read.
 *
 * @param sum how it is worked out, with its numbers
 * @param result with its unit
 * @param source the rule it follows
 * @param works false where the limit is missed
 */
record SumLine(String what, String sum, String result, String source, boolean works) {
    static SumLine of(String what, String sum, String result, String source) {
        return new SumLine(what, sum, result, source, true);
    }

    /** A text of the catalogue about sums. */
    static String say(String key, Map<String, ?> facts) {
        return Words.say("sum." + key, facts);
    }

    static String say(String key) {
        return say(key, Map.of());
    }
}
