package app.jerboa.standin;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Job files for tests: the demo's, and small ones with the demo's site. */
public final class TestJob {
    private static final Path DEMO = Path.of("../server/src/main/resources/demo/demo.jerboa.json");

    private final ObjectNode file;
    private long next = 10_000;

    private TestJob(ObjectNode file) {
        this.file = file;
    }

    /** The demo job as it ships. */
    public static ObjectNode demo() {
        try {
            return (ObjectNode) Json.MAPPER.readTree(Files.readAllBytes(DEMO));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The demo's house with nothing in it. */
    public static TestJob empty() {
        ObjectNode file = demo();
        for (String kind : file.propertyNames().toArray(String[]::new)) {
            if (file.get(kind) instanceof ArrayNode list
                    && !kind.equals("subnets")
                    && !kind.equals("ranges")) {
                list.removeAll();
            }
        }
        return new TestJob(file);
    }

    /** One of the demo's devices with its own id, another name and profile; no lead. */
    public TestJob device(long id, String name, String profile, String address) {
        ObjectNode d = (ObjectNode) demo().get("devices").get(0).deepCopy();
        d.put("id", id).put("name", name).put("profile", profile).put("address", address);
        d.put("mac", String.format(Locale.ROOT, "02:00:00:00:00:%02x", id & 0xFF));
        file.withArray("/devices").add(d);
        return this;
    }

    public TestJob run(long id, long from, String port, long to, String toPort, String cable) {
        ObjectNode r = (ObjectNode) demo().get("runs").get(0).deepCopy();
        r.put("id", id).put("from", from).put("fromPort", port).put("to", to);
        r.put("toPort", toPort).put("cable", cable).put("metres", 10);
        if (!cable.equals("data")) {
            r.put("fromPins", "").put("toPins", "");
        }
        file.withArray("/runs").add(r);
        return this;
    }

    /** Changes the device or run of that id. */
    public TestJob with(String kind, long id, String field, Object value) {
        for (JsonNode n : file.get(kind)) {
            if (n.get("id").asLong() == id) {
                ((ObjectNode) n).set(field, Json.MAPPER.valueToTree(value));
            }
        }
        return this;
    }

    /** A line of that camera; key and controller may be 0 for none. */
    public TestJob line(long camera, int number, int controlId, long controller, int key) {
        ObjectNode l = (ObjectNode) demo().get("lines").get(0).deepCopy();
        l.put("id", next++).put("number", number).put("camera", camera);
        l.put("controlId", controlId).putNull("switcher").putNull("input");
        if (controller == 0) {
            l.putNull("controller").putNull("key");
        } else {
            l.put("controller", controller).put("key", key);
        }
        file.withArray("/lines").add(l);
        return this;
    }

    public ObjectNode file() {
        return file;
    }
}
