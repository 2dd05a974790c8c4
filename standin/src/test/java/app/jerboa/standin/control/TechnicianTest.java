package app.jerboa.standin.control;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.Json;
import app.jerboa.standin.Rig;
import app.jerboa.standin.TestJob;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A technician with nothing but hands brings the demo job from its boxes to every key moving its
 * own camera, through the control interface, in simulated time.
 */
class TechnicianTest {
    private static final Instant START = Instant.parse("2030-01-01T10:00:00Z");
    private static final Duration SOON = Duration.ofMillis(5);
    private static final List<String> NETWORK =
            List.of(
                    "PoE switch",
                    "Balcony switch",
                    "L1",
                    "L2",
                    "L3",
                    "L4",
                    "L5",
                    "L6",
                    "L7",
                    "L8",
                    "L9",
                    "Control bridge",
                    "IP stick",
                    "Paint panel",
                    "Serial server",
                    "Tablet");

    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private final Rig rig = new Rig(now::get, new WorldClock(START, START, 1));
    private final HttpClient http = HttpClient.newHttpClient();
    private final ObjectNode job = mended();
    private int port;

    /** The demo without the faults of its plan; its dome gets a supply of its own. */
    private static ObjectNode mended() {
        ObjectNode file = TestJob.demo();
        for (JsonNode d : file.get("devices")) {
            if (d.get("name").asString().equals("L4")) {
                ((ObjectNode) d).put("address", "10.44.8.24");
            }
        }
        for (JsonNode l : file.get("lines")) {
            if (l.get("number").asInt() == 12) {
                ((ObjectNode) l).put("controlId", 3);
            }
        }
        return file;
    }

    private JsonNode device(String name) {
        for (JsonNode d : job.get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d;
            }
        }
        throw new IllegalStateException("no " + name);
    }

    private long id(String name) {
        return device(name).get("id").asLong();
    }

    private JsonNode ask(String method, String path, Object body) throws Exception {
        String text = body == null ? "" : Json.MAPPER.writeValueAsString(body);
        var response =
                http.send(
                        HttpRequest.newBuilder(
                                        URI.create("http://127.0.0.1:" + port + "/halls/1" + path))
                                .method(method, HttpRequest.BodyPublishers.ofString(text))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(response.statusCode()).as(path + " " + response.body()).isEqualTo(200);
        return Json.MAPPER.readTree(response.body());
    }

    private JsonNode at(String name, String hand, Object body) throws Exception {
        JsonNode seen = ask("PUT", "/devices/" + id(name) + "/" + hand, body);
        assertThat(seen.path("refused").asBoolean(false)).as(name + " " + hand + seen).isFalse();
        return seen;
    }

    private JsonNode hall(String name) throws Exception {
        for (JsonNode d : ask("GET", "", null).get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d;
            }
        }
        throw new IllegalStateException("no " + name);
    }

    private void pass(int seconds) {
        now.updateAndGet(t -> t.plusSeconds(seconds));
    }

    private static Map<String, Object> network(String address) {
        return Map.of("address", address, "prefix", 24, "gateway", "10.44.8.254");
    }

    @Test
    void bringsTheDemoFromItsBoxesToEveryKey() throws Exception {
        try (RigServer server = new RigServer(rig, 0, () -> {})) {
            port = server.port();
            ask("PUT", "", Map.of("job", job));
            for (String name : NETWORK) {
                bringUp(name);
            }
            serial();
            enter();
            ask("PUT", "/laptop", network("10.44.8.81"));
            everyKey();
        }
        rig.needHall("1").close();
    }

    /** Plug it, put the laptop beside it, log in, type its address, see it there. */
    private void bringUp(String name) throws Exception {
        ask("PUT", "/devices/" + id(name) + "/plug", Map.of("plugged", true, "upstream", false));
        pass(200);
        String start = hall(name).get("settings").get("address").asString();
        String planned = device(name).get("address").asString();
        if (planned.isEmpty()) {
            return;
        }
        ask("PUT", "/laptop", network(start.replaceFirst("\\d+$", "251")));
        JsonNode reach = ask("GET", "/reach/" + start, null);
        assertThat(reach.get("answering").size()).as(name + " at " + start).isEqualTo(1);
        ask("PUT", "/reach/" + start + "/network", network(planned));
        pass(200);
        ask("PUT", "/laptop", network("10.44.8.81"));
        JsonNode there = ask("GET", "/reach/" + planned, null).get("answering");
        assertThat(there.get(0).get("name").asString()).isEqualTo(name);
    }

    private void serial() throws Exception {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        numbers.put("L10", 1);
        numbers.put("L11", 2);
        numbers.put("L12", 3);
        numbers.put("L13", 13);
        for (String name : List.of("Serial stick", "L10", "L11", "L12", "L13")) {
            ask("PUT", "/devices/" + id(name) + "/plug", Map.of("plugged", true));
        }
        ask("PUT", "/devices/" + id("L13") + "/power", Map.of("on", true));
        for (var e : numbers.entrySet()) {
            at(e.getKey(), "dial", Map.of("dial", "number", "to", e.getValue().toString()));
        }
        at("L13", "dial", Map.of("dial", "baud", "to", "9600"));
        ask("PUT", "/devices/" + id("L14") + "/plug", Map.of("plugged", true));
        pass(100);
    }

    /** The first key of the counting stick, and the others one by one. */
    private void enter() throws Exception {
        key("IP stick", 1, "10.44.8.21", 52_381, "visca-ip", 0);
        key("Tablet", 7, "10.44.8.27", 52_381, "visca-ip", 0);
        key("Tablet", 14, "10.44.8.5", 52_381, "visca-ip", 0);
        for (int n = 1; n <= 3; n++) {
            key("Serial stick", n, null, 0, "visca-serial", n);
        }
        key("Serial stick", 4, null, 0, "d-protocol", 13);
        key("Paint panel", 8, "10.44.8.28", 5_501, "panel-server", 0);
        key("Paint panel", 9, "10.44.8.29", 5_501, "panel-server", 0);
    }

    private void key(String at, int key, String address, int to, String protocol, int number)
            throws Exception {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("address", address);
        entry.put("port", to);
        entry.put("protocol", protocol);
        entry.put("number", number);
        entry.put("name", "");
        ask("PUT", "/controllers/" + id(at) + "/keys/" + key, entry);
    }

    private void everyKey() throws Exception {
        Map<String, Map<Integer, String>> wanted = new LinkedHashMap<>();
        wanted.put(
                "IP stick", Map.of(1, "L1", 2, "L2", 3, "L3", 4, "L4", 5, "L5", 6, "L6", 7, "L7"));
        wanted.put("Tablet", Map.of(7, "L7", 14, "Control bridge"));
        wanted.put("Serial stick", Map.of(1, "L10", 2, "L11", 3, "L12", 4, "L13"));
        for (var controller : wanted.entrySet()) {
            for (var key : controller.getValue().entrySet()) {
                moves(controller.getKey(), key.getKey(), key.getValue());
            }
        }
        for (var key : Map.of(8, "L8", 9, "L9").entrySet()) {
            String at = "/controllers/" + id("Paint panel");
            ask("PUT", at + "/press", Map.of("key", key.getKey()));
            ask("PUT", at + "/turn", Map.of("knob", "master black", "value", 17));
            assertThat(hall(key.getValue()).get("knobs").get("master black").asInt()).isEqualTo(17);
        }
    }

    private void moves(String controller, int key, String camera) throws Exception {
        String at = "/controllers/" + id(controller);
        ask("PUT", at + "/press", Map.of("key", key));
        ask("PUT", at + "/stick", Map.of("pan", 0.5, "tilt", 0));
        await(controller + " key " + key)
                .pollInterval(SOON)
                .until(() -> moving().equals(List.of(camera)));
        ask("PUT", at + "/stick", Map.of("pan", 0, "tilt", 0));
        await().pollInterval(SOON).until(() -> moving().isEmpty());
    }

    private List<String> moving() throws Exception {
        List<String> all = new ArrayList<>();
        for (JsonNode d : ask("GET", "", null).get("devices")) {
            if (d.path("head").path("panSpeed").asDouble(0) != 0) {
                all.add(d.get("name").asString());
            }
        }
        return all;
    }
}
