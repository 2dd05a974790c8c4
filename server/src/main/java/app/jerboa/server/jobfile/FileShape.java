package app.jerboa.server.jobfile;

import app.jerboa.core.item.Field;
import app.jerboa.core.value.Lengths;
import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** The outer shape of a job file, and the JSON type of each field. */
final class FileShape {
    private static final Set<String> KEYS =
            Stream.concat(
                            Stream.of("format", "version", JobFileFormat.LOG, JobFileFormat.SEALED),
                            JobFileFormat.KINDS.stream().map(JobFileFormat::key))
                    .collect(Collectors.toUnmodifiableSet());

    private FileShape() {}

    static void insist(boolean right, String place, String reason) {
        if (!right) {
            throw new FileRejected(place, reason);
        }
    }

    static void header(JsonNode file) {
        insist(
                file.path("format").asString("").equals(JobFileFormat.FORMAT),
                "/format",
                Words.say("file.no-job"));
        JsonNode version = file.path("version");
        insist(version.isInt(), "/version", Words.say("file.whole-number"));
        insist(
                version.asInt() == JobFileFormat.VERSION,
                "/version",
                Words.say(
                        "file.version",
                        Map.of("version", version.asInt(), "own", JobFileFormat.VERSION)));
        for (String key : file.propertyNames()) {
            insist(KEYS.contains(key), "/" + key, Words.say("file.key"));
        }
        for (String key : KEYS) {
            insist(
                    file.has(key) || JobFileFormat.MAY_BE_MISSING.contains(key),
                    "/" + key,
                    Words.say("file.missing"));
        }
    }

    /** A field's value as its text, if it is of the field's JSON type. */
    static String text(Field field, JsonNode value, String place) {
        return switch (field.type().shape()) {
            case NUMBER, REFERENCE -> number(field, value, place);
            case FLAG -> {
                insist(value.isBoolean(), place, Words.say("file.true-false"));
                yield Boolean.toString(value.asBoolean());
            }
            case LENGTH -> {
                insist(value.isNumber(), place, Words.say("file.number"));
                yield Lengths.text(value.asDouble());
            }
            case FACTS -> {
                insist(value.isObject(), place, Words.say("file.profile"));
                yield value.toString();
            }
            case NAME, TEXT, CHOICE, LIST, ADDRESS, SUBNET, MAC, PROFILE -> {
                insist(value.isString(), place, Words.say("file.text"));
                yield value.asString();
            }
        };
    }

    private static String number(Field field, JsonNode value, String place) {
        if (value.isNull() && field.type().optional()) {
            return "";
        }
        insist(
                value.isIntegralNumber() && value.canConvertToLong(),
                place,
                Words.say("file.whole-number"));
        return Long.toString(value.asLong());
    }
}
