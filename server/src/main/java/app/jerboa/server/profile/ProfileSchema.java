package app.jerboa.server.profile;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Fact;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published JSON Schema of a profile, made from the records and what each {@link Fact} says.
 * Units stand under {@code x-unit}, since the standard has no word for them.
 */
public final class ProfileSchema {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MOST_IN_A_LIST = 100;
    private static final String OCTET = "(25[0-5]|2[0-4][0-9]|1[0-9][0-9]|[1-9]?[0-9])";

    private ProfileSchema() {}

    public static ObjectNode schema() {
        ObjectNode schema = JSON.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "Jerboa profile");
        object(Profile.class, schema);
        return schema;
    }

    private static void object(Class<?> record, ObjectNode into) {
        into.put("type", "object");
        ObjectNode properties = into.putObject("properties");
        ArrayNode required = into.putArray("required");
        for (RecordComponent c : record.getRecordComponents()) {
            Fact fact = c.getAnnotation(Fact.class);
            if (fact == null) {
                throw new IllegalStateException(record.getSimpleName() + "." + c.getName());
            }
            value(c.getGenericType(), fact, properties.putObject(c.getName()));
            if (isRequired(c.getType(), fact)) {
                required.add(c.getName());
            }
        }
        into.put("additionalProperties", false);
    }

    private static boolean isRequired(Class<?> type, Fact fact) {
        if (type == String.class) {
            return fact.shortest() > 0;
        }
        return type == int.class
                || type == double.class
                || type.isEnum()
                || type.isRecord() && type != Ipv4.class;
    }

    private static void value(Type type, Fact fact, ObjectNode into) {
        into.put("title", fact.value());
        if (!fact.unit().isEmpty()) {
            into.put("x-unit", fact.unit());
        }
        if (type instanceof ParameterizedType p) {
            Type inner = p.getActualTypeArguments()[0];
            if (p.getRawType() == Optional.class) {
                shape((Class<?>) inner, fact, into);
            } else {
                list((Class<?>) inner, fact, into);
            }
        } else {
            shape((Class<?>) type, fact, into);
        }
    }

    private static void list(Class<?> inner, Fact fact, ObjectNode into) {
        into.put("type", "array").put("maxItems", MOST_IN_A_LIST);
        shape(inner, fact, into.putObject("items"));
    }

    private static void shape(Class<?> type, Fact fact, ObjectNode into) {
        if (List.of(int.class, Integer.class, OptionalInt.class).contains(type)) {
            into.put("type", "integer")
                    .put("minimum", (long) fact.least())
                    .put("maximum", (long) fact.most());
        } else if (List.of(double.class, Double.class, OptionalDouble.class).contains(type)) {
            into.put("type", "number").put("minimum", fact.least()).put("maximum", fact.most());
        } else if (type == boolean.class) {
            into.put("type", "boolean");
        } else if (type == String.class) {
            into.put("type", "string")
                    .put("minLength", fact.shortest())
                    .put("maxLength", fact.longest())
                    .put(
                            "pattern",
                            fact.code()
                                    ? "^[^\\u0000-\\u001f\\u007f-\\u009f]*$"
                                    : "^[^<>\\u0000-\\u001f\\u007f-\\u009f]*$");
        } else if (type == Ipv4.class) {
            into.put("type", "string").put("pattern", "^(" + OCTET + "\\.){3}" + OCTET + "$");
        } else if (type.isEnum()) {
            ArrayNode words = into.put("type", "string").putArray("enum");
            Arrays.stream(type.getEnumConstants()).forEach(e -> words.add(e.toString()));
        } else {
            object(type, into);
        }
    }
}
