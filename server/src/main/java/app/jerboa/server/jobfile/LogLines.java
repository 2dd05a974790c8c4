package app.jerboa.server.jobfile;

import static app.jerboa.server.jobfile.FileShape.insist;

import app.jerboa.core.value.TextRules;
import app.jerboa.server.words.Words;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The logbook in a job file. */
final class LogLines {
    static final Set<String> KINDS = Set.of("change", "undo", "redo", "event", "note");
    private static final Set<String> KEYS = Set.of("at", "person", "kind", "text", "devices");
    private static final int LONGEST_NAME = 100;

    /** Times of a logbook lie in years of four digits, and are kept to the microsecond. */
    private static final Instant FIRST = Instant.parse("0001-01-01T00:00:00Z");

    private static final Instant END = Instant.parse("+10000-01-01T00:00:00Z");

    private LogLines() {}

    /** The lines as they are stored, once each of them is found right. */
    static String read(JsonNode log, JsonMapper json) {
        String place = "/" + JobFileFormat.LOG;
        insist(log.isArray(), place, Words.say("file.list"));
        insist(log.size() <= JobFileFormat.MOST_LOG_LINES, place, Words.say("file.lines"));
        for (int i = 0; i < log.size(); i++) {
            check(log.get(i), place + "/" + i);
        }
        return json.writeValueAsString(log);
    }

    private static void check(JsonNode line, String place) {
        insist(line.isObject(), place, Words.say("file.object"));
        insist(
                Set.copyOf(line.propertyNames()).equals(KEYS),
                place,
                Words.say("file.line-keys", Map.of("keys", KEYS)));
        text(line, place, "at", LogLines::isInstant, "file.time");
        text(line, place, "kind", KINDS::contains, "file.kind");
        text(line, place, "person", t -> plain(t, LONGEST_NAME), "file.name");
        text(line, place, "text", t -> plain(t, JobFileFormat.LONGEST_LOG_TEXT), "file.text");
        JsonNode devices = line.get("devices");
        insist(devices.isArray(), place + "/devices", Words.say("file.list"));
        for (JsonNode id : devices) {
            boolean number = id.isIntegralNumber() && id.canConvertToLong();
            insist(number, place + "/devices", Words.say("file.devices"));
        }
    }

    private static void text(
            JsonNode line, String place, String key, Predicate<String> right, String wanted) {
        JsonNode value = line.get(key);
        insist(
                value.isString() && right.test(value.asString()),
                place + "/" + key,
                Words.say(wanted, Map.of("kinds", KINDS)));
    }

    private static boolean isInstant(String text) {
        try {
            Instant at = Instant.parse(text);
            return at.toString().equals(text)
                    && !at.isBefore(FIRST)
                    && at.isBefore(END)
                    && at.truncatedTo(ChronoUnit.MICROS).equals(at);
        } catch (DateTimeException e) {
            return false;
        }
    }

    private static boolean plain(String text, int longest) {
        return !text.isEmpty()
                && text.length() <= longest
                && TextRules.storable(text)
                && text.chars().noneMatch(c -> Character.isISOControl(c) && c != '\n');
    }
}
