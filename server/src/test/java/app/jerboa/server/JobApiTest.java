package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The demo job over HTTP: its fault, the fix, undo, bad addresses, the sheet. */
class JobApiTest extends RunningServer {
    private static final Map<String, Object> START = Map.of("method", "hop", "workshop", false);

    private Client asha;
    private String job;

    @BeforeEach
    void freshJob() {
        asha = new Client().signIn();
        job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
    }

    private JsonNode device(String name) {
        for (JsonNode d : asha.get(job).json().get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d;
            }
        }
        throw new IllegalStateException("no device " + name);
    }

    private Map<String, Object> address(String name, String after) {
        return address(name, device(name).get("address").asString(), after);
    }

    private Map<String, Object> address(String name, String before, String after) {
        return edit("device", device(name).get("id").asLong(), "address", before, after);
    }

    private static JsonNode finding(JsonNode view, String code) {
        for (JsonNode f : view.get("findings")) {
            if (f.get("code").asString().equals(code)) {
                return f;
            }
        }
        throw new IllegalStateException("no finding " + code);
    }

    private List<String> codes(JsonNode view) {
        return view.get("findings").findValuesAsString("code").stream()
                .filter(c -> c.startsWith("ADDR-"))
                .toList();
    }

    @Test
    void oneFixClearsTheFaultLeftInAndUndoBringsItBack() {
        JsonNode view = asha.get(job).json();
        assertThat(codes(view))
                .containsExactly("ADDR-GAP", "ADDR-TAKEN", "ADDR-RIVALS", "ADDR-RIVALS");
        JsonNode fix = finding(view, "ADDR-TAKEN").get("fixes").get(0);
        assertThat(fix.get("label").asString()).isEqualTo("Move L4 to 10.44.8.24");
        JsonNode changes = fix.get("changes");

        JsonNode preview = asha.send("POST", job + "/changes/preview", changes).json();
        assertThat(preview.get("gone").findValuesAsString("code"))
                .containsExactly("ADDR-GAP", "ADDR-TAKEN");
        assertThat(preview.get("fresh")).isEmpty();
        assertThat(codes(asha.get(job).json())).hasSize(4);

        assertThat(codes(asha.send("POST", job + "/changes", changes).json()))
                .containsExactly("ADDR-RIVALS", "ADDR-RIVALS");
        JsonNode undone = asha.send("POST", job + "/undo", Map.of()).json();
        assertThat(codes(undone)).hasSize(4);
        assertThat(undone.get("redo").asString()).contains("10.44.8.24");
        assertThat(codes(asha.send("POST", job + "/redo", Map.of()).json()))
                .containsExactly("ADDR-RIVALS", "ADDR-RIVALS");
        assertThat(asha.send("POST", job + "/redo", Map.of()).code()).isEqualTo("nothing-to-redo");
    }

    /** Typed into L4's cell: the finding it brings, or the refusal at its place. */
    @ParameterizedTest
    @CsvSource({
        "10.44.9.24, ADDR-OUTSIDE",
        "10.44.8.22, ADDR-DUP",
        "10.44.8.150, ADDR-POOL",
        "10.44.8.0, ADDR-OUTSIDE",
        "10.44.8.255, ADDR-OUTSIDE",
        "10.44.8.254, ADDR-GATEWAY",
        "'', ADDR-NONE"
    })
    void aBadAddressIsTakenAndFound(String typed, String code) {
        assertThat(codes(asha.send("POST", job + "/changes", address("L4", typed)).json()))
                .contains(code);
    }

    @ParameterizedTest
    @CsvSource({"house, 0", "10.44.8, 7", "10.44.8.024, 8", "10.44.8.24/24, 10", "=1+1, 0"})
    void whatIsNoAddressIsRefusedAtItsPlace(String typed, int index) {
        Answer answer = asha.send("POST", job + "/changes", address("L4", typed));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.code()).isEqualTo("text-rejected");
        assertThat(answer.json().get("index").asInt()).isEqualTo(index);
        assertThat(device("L4").get("address").asString()).isEqualTo("10.44.8.33");
    }

    @Test
    void aChangeFromAnOldValueIsAConflictWithBothValues() {
        asha.send("POST", job + "/changes", address("L1", "10.44.8.41"));
        Answer stale =
                asha.send("POST", job + "/changes", address("L1", "10.44.8.21", "10.44.8.42"));
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.json().get("theirs").asString()).isEqualTo("10.44.8.41");
        assertThat(stale.json().get("yours").asString()).isEqualTo("10.44.8.42");
    }

    @Test
    void aNewChangeEndsTheRedo() {
        asha.send("POST", job + "/changes", address("L1", "10.44.8.41"));
        asha.send("POST", job + "/undo", Map.of());
        asha.send("POST", job + "/changes", address("L2", "10.44.8.42"));
        assertThat(asha.send("POST", job + "/redo", Map.of()).status()).isEqualTo(409);
    }

    @Test
    void rePlanningSaysWhoMovesAndWhy() {
        JsonNode plan = asha.get(job + "/address-plan").json();
        assertThat(plan.get("moves").findValuesAsString("device")).containsExactly("L4");
        assertThat(plan.get("moves").get(0).get("edit").get("after").asString())
                .isEqualTo("10.44.8.24");
    }

    @Test
    void theSheetIsCsv() {
        String csv = asha.get(job + "/addresses.csv").text();
        assertThat(csv.lines()).as("devices with a network").hasSize(1 + 21);
        assertThat(csv.lines().findFirst())
                .contains(
                        "line,name,role,profile,mac,planned address,prefix,gateway,control ID,key,input,port,how,controller,switcher,found address,mark");
        assertThat(csv)
                .contains(
                        "L1,L1,camera,\"Ceiling PTZ 20x, PoE\",02:4a:20:00:00:01,10.44.8.21,24,10.44.8.254,1,1,1,UDP 52381,static,IP stick,SDI switcher,,stopped");
    }

    @Test
    void bringUpWaitsForASoundPlan() {
        Answer blocked = asha.send("POST", job + "/bring-up/start", START);
        assertThat(blocked.code()).isEqualTo("plan-stopped");
        asha.send("POST", job + "/changes", address("L4", "10.44.8.24"));
        assertThat(asha.send("POST", job + "/bring-up/start", START).json().get("steps"))
                .hasSizeGreaterThan(100);
        assertThat(asha.send("POST", job + "/bring-up/steps/9/check", Map.of()).code())
                .isEqualTo("not-this-step");
    }
}
