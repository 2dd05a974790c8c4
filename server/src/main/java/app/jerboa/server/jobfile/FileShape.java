package app.jerboa.server.jobfile;

import app.jerboa.core.item.Field;
import app.jerboa.core.value.Lengths;
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
                "this is no Jerboa job file");
        JsonNode version = file.path("version");
        insist(version.isInt(), "/version", "a whole number belongs here");
        insist(
                version.asInt() == JobFileFormat.VERSION,
                "/version",
                "it is of version "
                        + version.asInt()
                        + "; this Jerboa reads version "
                        + JobFileFormat.VERSION);
        for (String key : file.propertyNames()) {
            insist(KEYS.contains(key), "/" + key, "this key is not known here");
        }
        for (String key : KEYS) {
            insist(
                    file.has(key) || JobFileFormat.MAY_BE_MISSING.contains(key),
                    "/" + key,
                    "this is missing");
        }
    }

    /** A field's value as its text, if it is of the field's JSON type. */
    static String text(Field field, JsonNode value, String place) {
        return switch (field.type().shape()) {
            case NUMBER, REFERENCE -> number(field, value, place);
            case FLAG -> {
                insist(value.isBoolean(), place, "true or false belongs here");
                yield Boolean.toString(value.asBoolean());
            }
            case LENGTH -> {
                insist(value.isNumber(), place, "a number belongs here");
                yield Lengths.text(value.asDouble());
            }
            case FACTS -> {
                insist(value.isObject(), place, "a profile belongs here");
                yield value.toString();
            }
            case NAME, TEXT, CHOICE, LIST, ADDRESS, SUBNET, MAC, PROFILE -> {
                insist(value.isString(), place, "a text belongs here");
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
                "a whole number belongs here");
        return Long.toString(value.asLong());
    }
}
