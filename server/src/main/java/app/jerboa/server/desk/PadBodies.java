package app.jerboa.server.desk;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;

/** What the axes and buttons of a game pad do for a person. */
final class PadBodies {
    private static final int LONGEST_NAME = 200;
    private static final int MOST_AXES = 16;
    private static final int MOST_BUTTONS = 64;
    private static final Set<String> AXES = Set.of("pan", "tilt", "zoom", "focus", "roll", "rail");
    private static final Set<String> ACTS =
            Set.of("stop", "hold", "creep", "home", "next", "previous", "tele", "wide");

    /** A knob or verb by its name in the profile. */
    private static final Pattern TOLD_BY_AXIS = Pattern.compile("knob:.{1,80}");

    private static final Pattern TOLD_BY_BUTTON = Pattern.compile("(up|down|verb):.{1,80}");

    private PadBodies() {}

    private static boolean isOne(Set<String> words, Pattern told, String to) {
        return to != null && (words.contains(to) || told.matcher(to).matches());
    }

    /**
     * @param axis from 0, as the browser counts
     * @param to pan, tilt, zoom, focus, roll, rail or {@code knob:} and its name
     * @param turned it pushes the other way
     * @param centre what it reads at rest, -1 to 1
     * @param dead how far from that it strays by itself, 0 to 1
     */
    record PadAxis(int axis, String to, boolean turned, double centre, double dead) {
        private boolean possible() {
            return axis >= 0
                    && axis < MOST_AXES
                    && isOne(AXES, TOLD_BY_AXIS, to)
                    && Math.abs(centre) <= 1
                    && dead >= 0
                    && dead <= 1;
        }
    }

    /**
     * @param button from 0, as the browser counts
     * @param to stop, hold, creep, home, next, previous, tele, wide; or {@code up:}, {@code down:}
     *     or {@code verb:} and a name
     */
    record PadButton(int button, String to) {
        private boolean possible() {
            return button >= 0 && button < MOST_BUTTONS && isOne(ACTS, TOLD_BY_BUTTON, to);
        }
    }

    record PadMap(List<PadAxis> axes, List<PadButton> buttons) {}

    /**
     * @param name as its browser names it
     * @param map null for one that this person has not mapped
     */
    record PadBody(String name, PadMap map) {
        /**
         * @throws Problem naming the field that cannot be
         */
        void insist() {
            insistOnName(name);
            boolean there = map != null && map.axes() != null && map.buttons() != null;
            if (!there || map.axes().size() > MOST_AXES || map.buttons().size() > MOST_BUTTONS) {
                throw bad("map", Words.say("refused.pad-twice"));
            }
            if (!map.axes().stream().allMatch(a -> a != null && a.possible())) {
                throw bad("axes", Words.say("refused.pad-axis"));
            }
            if (!map.buttons().stream().allMatch(b -> b != null && b.possible())) {
                throw bad(
                        "buttons",
                        Words.say(
                                "refused.pad-button",
                                Map.of("acts", String.join(", ", new TreeSet<>(ACTS)))));
            }
        }
    }

    static void insistOnName(String name) {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw bad("name", Words.say("refused.pad-name", Map.of("most", LONGEST_NAME)));
        }
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", sentence, Map.of("field", field));
    }
}
