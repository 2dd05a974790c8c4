package app.jerboa.wire.panel;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** One line between a paint panel and a camera, either way. */
public sealed interface PanelMessage {
    /** Longest line, in characters. */
    int LONGEST = 4_096;

    JsonMapper JSON = JsonMapper.builder().build();

    void write(ObjectNode into);

    /** As it goes out, without its line end. */
    default String encode() {
        ObjectNode line = JSON.createObjectNode();
        write(line);
        return JSON.writeValueAsString(line);
    }

    /** First of all. */
    record SignIn(String user, String password) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            into.putObject("sign-in").put("user", user).put("password", password);
        }

        @Override
        public String toString() {
            return "sign-in of " + user;
        }
    }

    /** The camera lets this panel in. */
    record SignedIn(String camera) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            into.put("signed-in", camera);
        }
    }

    /** Turns knobs. */
    record Turn(Map<String, Integer> values) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            ObjectNode set = into.putObject("set");
            values.forEach(set::put);
        }
    }

    /** Asks for values; none for all. */
    record Ask(List<String> keys) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            ArrayNode get = into.putArray("get");
            keys.forEach(get::add);
        }
    }

    /** What the camera stands at; sent by itself when something changed. */
    record Values(Map<String, Integer> values) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            ObjectNode node = into.putObject("values");
            values.forEach(node::put);
        }
    }

    /** Does something that has no value. */
    record Do(String key) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            into.put("do", key);
        }
    }

    record Tally(boolean on) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            into.put("tally", on ? "on" : "off");
        }
    }

    record Refused(String reason) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            into.put("refused", reason);
        }
    }

    /** There is room for one panel, and another has it; said before any sign-in. */
    record Held(String reason) implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            into.put("held", reason);
        }
    }

    /** Each second, both ways; the tally drops when it fails. */
    record Beat() implements PanelMessage {
        @Override
        public void write(ObjectNode into) {
            into.put("beat", true);
        }
    }

    /** What a line says; unknown keys are refused, as lines of another program. */
    static Decoded<PanelMessage> decode(String line) {
        Octets octets = Octets.of(line.getBytes(StandardCharsets.UTF_8));
        if (line.length() > LONGEST) {
            return Decoded.rejected(octets, "a line longer than " + LONGEST + " characters");
        }
        try {
            JsonNode node = JSON.readTree(line);
            PanelMessage read = node.isObject() && node.size() == 1 ? of(node) : null;
            return read == null
                    ? Decoded.rejected(octets, "no message of the panel link")
                    : Decoded.accepted(read);
        } catch (JacksonException e) {
            return Decoded.rejected(octets, "no JSON");
        }
    }

    private static PanelMessage of(JsonNode node) {
        String key = node.propertyNames().iterator().next();
        JsonNode it = node.get(key);
        return switch (key) {
            case "sign-in" ->
                    it.path("user").isString() && it.path("password").isString()
                            ? new SignIn(it.get("user").asString(), it.get("password").asString())
                            : null;
            case "signed-in" -> it.isString() ? new SignedIn(it.asString()) : null;
            case "set" -> numbers(it) == null ? null : new Turn(numbers(it));
            case "values" -> numbers(it) == null ? null : new Values(numbers(it));
            case "get" -> texts(it) == null ? null : new Ask(texts(it));
            case "do" -> it.isString() ? new Do(it.asString()) : null;
            case "tally" ->
                    it.isString() && List.of("on", "off").contains(it.asString())
                            ? new Tally(it.asString().equals("on"))
                            : null;
            case "refused" -> it.isString() ? new Refused(it.asString()) : null;
            case "held" -> it.isString() ? new Held(it.asString()) : null;
            case "beat" -> it.isBoolean() && it.asBoolean() ? new Beat() : null;
            default -> null;
        };
    }

    private static Map<String, Integer> numbers(JsonNode node) {
        Map<String, Integer> values = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> e : node.properties()) {
            if (!e.getValue().canConvertToInt() || !e.getValue().isIntegralNumber()) {
                return null;
            }
            values.put(e.getKey(), e.getValue().asInt());
        }
        return node.isObject() ? values : null;
    }

    private static List<String> texts(JsonNode node) {
        List<String> texts = new ArrayList<>();
        for (JsonNode one : node) {
            if (!one.isString()) {
                return null;
            }
            texts.add(one.asString());
        }
        return node.isArray() ? texts : null;
    }
}
