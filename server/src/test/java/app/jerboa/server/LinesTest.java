package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The demo's lines: what is found, how each is controlled, made and moved, and what it carries. */
class LinesTest extends RunningServer {
    private Client asha;
    private String job;
    private JsonNode view;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        view = asha.send("POST", "/api/jobs/demo", Map.of()).json();
        job = "/api/jobs/" + view.get("id").asLong();
    }

    private JsonNode line(String name) {
        return StreamSupport.stream(view.get("lines").spliterator(), false)
                .filter(l -> l.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private String path(String line, String function) {
        return job + "/lines/" + line(line).get("id").asLong() + "/routes/" + function;
    }

    /** What is left in on purpose, and nothing else that stops or warns about the lines. */
    @Test
    void theDemoHasTheFaultsThatWereLeftIn() {
        List<String> found =
                StreamSupport.stream(view.get("findings").spliterator(), false)
                        .filter(f -> !f.get("severity").asString().equals("note"))
                        .map(f -> f.get("code").asString())
                        .filter(c -> !c.startsWith("PREP-"))
                        .toList();
        assertThat(found)
                .containsExactly(
                        "ADDR-GAP",
                        "ADDR-TAKEN",
                        "DC-DROP",
                        "ID-DUP",
                        "POE-BUDGET",
                        "VID-FORMAT",
                        "CTRL-WIRELESS",
                        "ID-DISAGREE",
                        "SEC-DEFAULT",
                        "SHOT-LATE");
        assertThat(line("L5").get("outOfLine").toString()).isEqualTo("[\"input\"]");
        assertThat(line("L4").get("outOfLine")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "L1, pan-tilt, IP stick, 1, VISCA over IP",
        "L7, zoom, Tablet, 7, VISCA over IP",
        "L8, paint, Paint panel, 8, panel link",
        "L10, pan-tilt, Serial stick, 1, serial VISCA",
        "L13, zoom, Serial stick, 4, D protocol",
        "L14, zoom, Tablet, 14, VISCA over IP",
        "L14, pan-tilt, Tablet, 14, short range",
    })
    void everyCameraHasItsRoute(
            String line, String function, String controller, int key, String over) {
        JsonNode matrix = asha.get(job + "/routes").json();
        JsonNode cell = null;
        for (JsonNode row : matrix.get("rows")) {
            for (JsonNode c : row.get("cells")) {
                boolean here =
                        row.get("name").asString().equals(line)
                                && c.get("function").asString().equals(function);
                cell = here ? c : cell;
            }
        }
        assertThat(cell).isNotNull();
        assertThat(cell.get("controller").asString()).isEqualTo(controller);
        assertThat(cell.get("key").asInt()).isEqualTo(key);
        assertThat(cell.get("over").asString()).isEqualTo(over);
        assertThat(cell.get("wanted").asBoolean()).isTrue();
    }

    @Test
    void anotherWayIsChosenAndGivenBack() {
        JsonNode ways = asha.get(path("L1", "zoom")).json();
        assertThat(ways.get(0).get("planned").asBoolean()).isTrue();
        assertThat(ways.get(0).get("why").asString()).contains("key 1");
        JsonNode second = ways.get(1);
        Map<String, Object> choice =
                Map.of(
                        "controllerId", second.get("controllerId").asLong(),
                        "protocol", second.get("protocol").asString(),
                        "throughId", second.get("throughId"));
        assertThat(asha.send("PUT", path("L1", "zoom"), choice).status()).isEqualTo(200);
        assertThat(asha.get(path("L1", "zoom")).json().get(0).get("chosen").asBoolean()).isTrue();
        assertThat(asha.send("DELETE", path("L1", "zoom"), Map.of()).status()).isEqualTo(200);
        assertThat(asha.get(path("L1", "zoom")).json()).isEqualTo(ways);
        Map<String, Object> none =
                Map.of("controllerId", 1, "protocol", "visca-ip", "throughId", NONE);
        assertThat(asha.send("PUT", path("L1", "zoom"), none).code()).isEqualTo("not-found");
        assertThat(asha.get(path("L1", "nose")).code()).isEqualTo("not-found");
    }

    @Test
    void aFixForTheCrossedLeadsMovesTwoOfThem() {
        JsonNode finding =
                StreamSupport.stream(view.get("findings").spliterator(), false)
                        .filter(f -> f.get("code").asString().equals("ID-DISAGREE"))
                        .findFirst()
                        .orElseThrow();
        JsonNode fix = finding.get("fixes").get(0);
        assertThat(fix.get("label").asString())
                .isEqualTo("Follow the labels: L5 to input 5, L6 to input 6");
        JsonNode after = asha.send("POST", job + "/changes", fix.get("changes")).json();
        assertThat(after.get("findings").findValuesAsString("code")).doesNotContain("ID-DISAGREE");
        assertThat(after.get("undo").asString()).contains("Line L5: input 6 to 5");
    }

    @Test
    void nothingIsMissingInTheDemoAndALineTakesItsNumbersAlong() {
        JsonNode missing = asha.get(job + "/lines/missing").json();
        assertThat(missing.get("edits")).isEmpty();
        Map<String, Object> to = Map.of("to", 0);
        String move = job + "/lines/" + line("L3").get("id").asLong() + "/place";
        JsonNode after = asha.send("POST", move, to).json();
        assertThat(after.get("lines").get(0).get("cameraId")).isEqualTo(line("L3").get("cameraId"));
        assertThat(after.get("lines").get(0).get("key").get("number").asInt()).isEqualTo(1);
        assertThat(asha.send("POST", move, to).code()).isEqualTo("nothing-to-change");
    }

    @Test
    void theGimbalIsInBalance() {
        JsonNode head = null;
        for (JsonNode h : asha.get(job + "/mounts").json()) {
            head = h.get("name").asString().equals("L14") ? h : head;
        }
        assertThat(head).isNotNull();
        assertThat(head.get("parts").findValuesAsString("name"))
                .containsExactly("L14", "Manual lens", "Zoom motor", "Control bridge");
        assertThat(head.get("sums").get("balances")).hasSize(3);
        for (JsonNode b : head.get("sums").get("balances")) {
            assertThat(b.get("withinTravel").asBoolean()).isTrue();
        }
    }

    @Test
    void theBalanceSumIsOpenToAll() {
        Map<String, Object> in =
                Map.of(
                        "parts",
                        List.of(
                                Map.of("grams", 1500, "offsetMm", -20),
                                Map.of("grams", 500, "offsetMm", 100)),
                        "travelMm",
                        9);
        JsonNode out = new Client().send("POST", "/api/sums/balance", in).json();
        assertThat(out.toString())
                .isEqualTo("{\"centreMm\":10.0,\"shiftMm\":-10.0,\"withinTravel\":false}");
    }
}
