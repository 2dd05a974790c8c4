package app.jerboa.server.jobfile;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.FieldType;
import app.jerboa.core.item.ItemKind;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The published JSON Schema of the job file, made from the fields themselves. */
final class JobFileSchema {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String OCTET = "(25[0-5]|2[0-4][0-9]|1[0-9][0-9]|[1-9]?[0-9])";
    private static final String ADDRESS = "(" + OCTET + "\\.){3}" + OCTET;

    private JobFileSchema() {}

    static ObjectNode schema() {
        ObjectNode schema = JSON.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "Jerboa job file, version " + JobFileFormat.VERSION);
        schema.put("type", "object");
        ObjectNode properties = schema.putObject("properties");
        properties.putObject("format").put("const", JobFileFormat.FORMAT);
        properties.putObject("version").put("const", JobFileFormat.VERSION);
        for (ItemKind kind : JobFileFormat.KINDS) {
            ObjectNode at = properties.putObject(JobFileFormat.key(kind));
            if (kind == ItemKind.SITE) {
                item(kind, at);
            } else {
                at.put("type", "array").put("maxItems", JobFileFormat.MOST_ITEMS);
                at.put("minItems", kind == ItemKind.SUBNET ? 1 : 0);
                item(kind, at.putObject("items"));
            }
        }
        log(properties.putObject(JobFileFormat.LOG));
        properties
                .putObject(JobFileFormat.SEALED)
                .put("type", "string")
                .put("maxLength", JobFileFormat.LONGEST_SEALED)
                .put(
                        "description",
                        "secrets under a passphrase: pbkdf2-sha256$rounds$salt$sealed, Base64, AES-256-GCM");
        requireAll(schema);
        ((ArrayNode) schema.get("required"))
                .removeIf(n -> JobFileFormat.MAY_BE_MISSING.contains(n.asString()));
        return schema;
    }

    private static void item(ItemKind kind, ObjectNode into) {
        into.put("type", "object");
        ObjectNode properties = into.putObject("properties");
        properties
                .putObject("id")
                .put("type", "integer")
                .put("minimum", 1)
                .put("description", "unique over all kinds of this file");
        kind.fields().forEach(f -> field(f, properties.putObject(f.wire())));
        into.put("additionalProperties", false);
        ArrayNode required = into.putArray("required").add("id");
        kind.fields().stream()
                .filter(f -> f.initial().isEmpty() && !f.type().optional())
                .forEach(f -> required.add(f.wire()));
    }

    private static void field(Field field, ObjectNode into) {
        FieldType type = field.type();
        switch (type.shape()) {
            case NAME -> text(type, into).put("pattern", "^[^<>\\u0000-\\u001f\\u007f-\\u009f]*$");
            case TEXT -> text(type, into).put("pattern", "^[^\\u0000-\\u001f\\u007f-\\u009f]*$");
            case NUMBER ->
                    whole(type, into).put("minimum", type.least()).put("maximum", type.most());
            case REFERENCE ->
                    whole(type, into)
                            .put("minimum", 1)
                            .put("description", "id of a " + type.target().orElseThrow().wire());
            case FLAG -> into.put("type", "boolean");
            case CHOICE -> choice(type, into.putArray("enum"));
            case LIST ->
                    into.put("type", "string")
                            .put("description", "some of: " + String.join(", ", type.choices()));
            case LENGTH ->
                    into.put("type", "number")
                            .put("minimum", type.least())
                            .put("maximum", type.most())
                            .put("description", "metres");
            case FACTS ->
                    into.put("type", "object")
                            .put("description", "as in jerboa-profile.schema.json");
            case ADDRESS -> pattern(type, into, ADDRESS);
            case SUBNET -> pattern(type, into, ADDRESS + "/([89]|[12][0-9]|30)");
            case MAC -> pattern(type, into, "([0-9a-f]{2}:){5}[0-9a-f]{2}");
            case PROFILE -> into.put("type", "string").put("description", "id of a profile");
        }
    }

    private static void choice(FieldType type, ArrayNode words) {
        type.choices().forEach(words::add);
        if (type.optional()) {
            words.add("");
        }
    }

    private static ObjectNode text(FieldType type, ObjectNode into) {
        return into.put("type", "string")
                .put("minLength", type.optional() ? 0 : type.least())
                .put("maxLength", type.most());
    }

    private static ObjectNode whole(FieldType type, ObjectNode into) {
        if (type.optional()) {
            into.putArray("type").add("integer").add("null");
        } else {
            into.put("type", "integer");
        }
        return into;
    }

    private static void pattern(FieldType type, ObjectNode into, String pattern) {
        into.put("type", "string")
                .put("pattern", type.optional() ? "^(" + pattern + ")?$" : "^" + pattern + "$");
    }

    private static void log(ObjectNode into) {
        into.put("type", "array").put("maxItems", JobFileFormat.MOST_LOG_LINES);
        ObjectNode line = into.putObject("items").put("type", "object");
        ObjectNode properties = line.putObject("properties");
        properties.putObject("at").put("type", "string").put("format", "date-time");
        properties.putObject("person").put("type", "string").put("minLength", 1);
        ArrayNode kinds = properties.putObject("kind").putArray("enum");
        LogLines.KINDS.stream().sorted().forEach(kinds::add);
        properties
                .putObject("text")
                .put("type", "string")
                .put("minLength", 1)
                .put("maxLength", JobFileFormat.LONGEST_LOG_TEXT);
        properties
                .putObject("devices")
                .put("type", "array")
                .putObject("items")
                .put("type", "integer");
        requireAll(line);
    }

    private static void requireAll(ObjectNode object) {
        object.put("additionalProperties", false);
        ArrayNode required = object.putArray("required");
        Stream.of(object.get("properties"))
                .flatMap(p -> p.propertyNames().stream())
                .forEach(required::add);
    }
}
