package app.jerboa.standin.control;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.Json;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The control interface as an OpenAPI document, made from its routes and bodies themselves. */
final class Contract {
    private static final Pattern PART = Pattern.compile("\\{(\\w+)}");
    private static final Map<Type, String> PLAIN =
            Map.of(
                    String.class, "string",
                    boolean.class, "boolean",
                    int.class, "integer",
                    long.class, "integer",
                    Long.class, "integer",
                    Integer.class, "integer",
                    double.class, "number",
                    Double.class, "number",
                    Ipv4.class, "string",
                    DeviceId.class, "string");

    private final ObjectNode schemas = Json.MAPPER.createObjectNode();
    private final Set<Class<?>> known = new HashSet<>();
    private final Deque<Class<?>> open = new ArrayDeque<>();

    private Contract() {}

    static ObjectNode of(List<Route<?>> routes) {
        return new Contract().document(routes);
    }

    private ObjectNode document(List<Route<?>> routes) {
        ObjectNode all = Json.MAPPER.createObjectNode();
        all.put("openapi", "3.1.0");
        all.putObject("info")
                .put("title", "Control interface of the stand-in halls")
                .put("version", "1")
                .put(
                        "description",
                        "Hands, clock, faults and truth of simulated halls. On loopback only; requests from web pages are refused.");
        Map<String, ObjectNode> paths = new TreeMap<>();
        for (Route<?> r : routes) {
            paths.computeIfAbsent(r.path(), p -> Json.MAPPER.createObjectNode())
                    .set(r.method().toLowerCase(Locale.ROOT), operation(r));
        }
        paths.forEach(all.putObject("paths")::set);
        while (!open.isEmpty()) {
            Class<?> next = open.removeFirst();
            schemas.set(next.getSimpleName(), record(next));
        }
        all.putObject("components").set("schemas", sorted(schemas));
        return all;
    }

    private static ObjectNode sorted(ObjectNode of) {
        Map<String, JsonNode> byName = new TreeMap<>();
        of.properties().forEach(e -> byName.put(e.getKey(), e.getValue()));
        ObjectNode result = Json.MAPPER.createObjectNode();
        byName.forEach(result::set);
        return result;
    }

    private ObjectNode operation(Route<?> r) {
        ObjectNode operation = Json.MAPPER.createObjectNode();
        operation.put("summary", r.does());
        Matcher parts = PART.matcher(r.path());
        while (parts.find()) {
            operation
                    .withArray("parameters")
                    .addObject()
                    .put("name", parts.group(1))
                    .put("in", "path")
                    .put("required", true)
                    .putObject("schema")
                    .put("type", "string");
        }
        if (r.takes() != Void.class) {
            operation
                    .putObject("requestBody")
                    .put("required", true)
                    .set("content", content(r.takes()));
        }
        ObjectNode responses = operation.putObject("responses");
        ObjectNode done = responses.putObject("200").put("description", "what it is afterwards");
        done.set("content", content(r.gives()));
        responses.putObject("default").put("description", "a refusal; \"detail\" is one sentence");
        return operation;
    }

    private ObjectNode content(Type of) {
        ObjectNode content = Json.MAPPER.createObjectNode();
        content.putObject("application/json").set("schema", schema(of));
        return content;
    }

    private ObjectNode schema(Type of) {
        ObjectNode schema = Json.MAPPER.createObjectNode();
        if (PLAIN.containsKey(of)) {
            return schema.put("type", PLAIN.get(of));
        } else if (of == Instant.class) {
            return schema.put("type", "string").put("format", "date-time");
        } else if (of == Duration.class) {
            return schema.put("type", "string").put("format", "duration");
        } else if (of == JsonNode.class) {
            return schema.put("type", "object");
        } else if (of instanceof ParameterizedType p) {
            return container(p, schema);
        }
        Class<?> type = (Class<?>) of;
        if (type.isEnum()) {
            schema.put("type", "string");
            Arrays.stream(type.getEnumConstants())
                    .forEach(c -> schema.withArray("enum").add(c.toString()));
            return schema;
        }
        if (known.add(type)) {
            open.add(type);
        }
        return schema.put("$ref", "#/components/schemas/" + type.getSimpleName());
    }

    private ObjectNode container(ParameterizedType p, ObjectNode schema) {
        Type[] inner = p.getActualTypeArguments();
        if (p.getRawType() == Map.class) {
            return schema.put("type", "object").set("additionalProperties", schema(inner[1]));
        } else if (p.getRawType() == Optional.class) {
            schema.withArray("oneOf").add(schema(inner[0])).addObject().put("type", "null");
            return schema;
        }
        return schema.put("type", "array").set("items", schema(inner[0]));
    }

    private ObjectNode record(Class<?> type) {
        ObjectNode schema = Json.MAPPER.createObjectNode().put("type", "object");
        ObjectNode properties = schema.putObject("properties");
        for (RecordComponent c : type.getRecordComponents()) {
            properties.set(c.getName(), schema(c.getGenericType()));
        }
        return schema;
    }
}
