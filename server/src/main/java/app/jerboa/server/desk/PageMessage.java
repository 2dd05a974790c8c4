package app.jerboa.server.desk;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.json.JsonFactory;

/**
 * What a page says over {@code /ws/desk}: a JSON object of a {@code type} and numbers, each left
 * out or null where there is none.
 *
 * <p>Types: open, take, stick, home, recall, beat (the page lives), move-on-air (it may, though its
 * picture goes out), go (a steady move from where it points), keep-going (repeated every 50 ms),
 * ask (its driver for it), keep (it, though asked), stop-all.
 *
 * <p>Numbers:
 *
 * <ul>
 *   <li>job: for open; camera: for take and ask; preset: for recall, as the camera calls it
 *   <li>pan, tilt, zoom, focus, roll, rail: stick deflection -1 to 1, where right, up, tele, far,
 *       clockwise and onwards are positive; a stick off centre is repeated every 50 ms
 *   <li>limit: of the speed, above 0 to 1
 *   <li>move: number of a steady move at its page, whose pan, tilt and roll are degrees and rail
 *       metres; roll and rail are left out where they stay; seconds: that it is to take
 * </ul>
 *
 * Read field by field: a stick speaks twenty times a second, and binding to a class took longer
 * than all else on the way to its head.
 */
final class PageMessage {
    private static final JsonFactory JSON = new JsonFactory();
    private static final Set<String> WHOLE = Set.of("job", "camera", "move", "preset");
    private static final Set<String> NUMBERS =
            Set.of("pan", "tilt", "zoom", "focus", "roll", "rail", "limit", "seconds");

    private final Map<String, Number> numbers = new HashMap<>();
    private String type = "";

    private PageMessage() {}

    /** Empty for what is no message: another shape, an unknown or doubled field. */
    static Optional<PageMessage> read(String text) {
        try (JsonParser parser = JSON.createParser(ObjectReadContext.empty(), text)) {
            PageMessage message = new PageMessage();
            return message.isRead(parser) ? Optional.of(message) : Optional.empty();
        } catch (JacksonException notJson) {
            return Optional.empty();
        }
    }

    private boolean isRead(JsonParser parser) {
        if (parser.nextToken() != JsonToken.START_OBJECT) {
            return false;
        }
        for (String name = parser.nextName(); name != null; name = parser.nextName()) {
            if (!isTaken(name, parser.nextToken(), parser)) {
                return false;
            }
        }
        return parser.currentToken() == JsonToken.END_OBJECT && parser.nextToken() == null;
    }

    private boolean isTaken(String name, JsonToken value, JsonParser parser) {
        if (name.equals("type")) {
            boolean first = type.isEmpty() && value == JsonToken.VALUE_STRING;
            type = first ? parser.getString() : "";
            return first;
        } else if (WHOLE.contains(name)) {
            return value == JsonToken.VALUE_NULL
                    || value == JsonToken.VALUE_NUMBER_INT
                            && numbers.put(name, whole(name, parser)) == null;
        }
        return NUMBERS.contains(name)
                && (value == JsonToken.VALUE_NULL
                        || value.isNumeric() && numbers.put(name, parser.getDoubleValue()) == null);
    }

    private static long whole(String name, JsonParser parser) {
        return name.equals("preset") ? parser.getIntValue() : parser.getLongValue();
    }

    String type() {
        return type;
    }

    OptionalDouble number(String name) {
        Number number = numbers.get(name);
        return number == null ? OptionalDouble.empty() : OptionalDouble.of(number.doubleValue());
    }

    /** A deflection, -1 to 1; 0 where it says none. */
    double push(String name) {
        return Math.max(-1, Math.min(1, number(name).orElse(0)));
    }

    /** Of a job, a camera, a preset or a move; -1, which none has, where it says none. */
    long whole(String name) {
        Number number = numbers.get(name);
        return number == null ? -1 : number.longValue();
    }
}
