package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Stored views and shot lists of the demo, over HTTP. */
class ViewsTest extends RunningServer {
    private static final long L1 = 7;
    private static final long L7 = 13;
    private static final long L8 = 14;
    private static final long LIST = 136;

    private Client asha;
    private String job;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
    }

    private JsonNode row(long device) {
        for (JsonNode row : asha.get(job + "/presets").json()) {
            if (row.get("device").asLong() == device) {
                return row;
            }
        }
        throw new IllegalStateException("no row of " + device);
    }

    @Test
    void whatAnAutomaticSetIsSaidBeforeItDisappoints() {
        JsonNode farEnd = row(10).get("presets").get(2);
        assertThat(farEnd.get("name").asString()).isEqualTo("far end");
        assertThat(farEnd.get("lost").toString())
                .contains("iris is left to the automatic; set exposure to manual");
        assertThat(row(L1).get("presets").get(2).get("lost")).isEmpty();
    }

    /** As many as fit, in one step that can be undone; what is there stays. */
    @Test
    void aRowIsCopiedToAnotherCamera() {
        String copy = job + "/presets/" + L1 + "/copy";
        assertThat(asha.send("POST", copy, Map.of("to", L7)).status()).isEqualTo(200);
        JsonNode copied = row(L7).get("presets");
        assertThat(copied).hasSize(3);
        assertThat(copied.get(1).get("pan").asDouble()).isEqualTo(35);
        assertThat(copied.get(1).get("at").asString()).as("not stored in it yet").isEmpty();
        assertThat(asha.send("POST", copy, Map.of("to", L7)).code()).isEqualTo("nothing-to-copy");
        assertThat(asha.send("POST", copy, Map.of("to", L8)).code()).isEqualTo("not-found");
        asha.send("POST", job + "/undo", Map.of());
        assertThat(row(L7).get("presets")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "7, write, false, 409, not-clear",
        "7, dance, true, 400, bad-value",
        "13, check, true, 409, no-views",
        "999, check, true, 404, not-found",
    })
    void whatCannotBeginIsRefused(
            long device, String what, boolean clear, int status, String code) {
        Answer refused =
                asha.send(
                        "POST",
                        job + "/presets/" + device + "/run",
                        Map.of("what", what, "clear", clear));
        assertThat(refused.status()).isEqualTo(status);
        assertThat(refused.code()).isEqualTo(code);
        assertThat(asha.get(job + "/presets/run").json().get("state").asString()).isEqualTo("none");
    }

    @Test
    void theListLeavesAsCsvAndPdfWithNothingThatASpreadsheetRuns() {
        asha.send("POST", job + "/changes", edit("take", 137, "cue", "skips shake hands", "=1+1"));
        String path = job + "/shot-lists/" + LIST + "/shots.";
        String csv = asha.get(path + "csv").text();
        assertThat(csv.lines()).hasSize(10);
        assertThat(csv.lines().skip(7).findFirst().orElseThrow())
                .isEqualTo(
                        "7,48.00,5.00,L3,1,house end,stones by the house,skip points,1.29,0.00,1.29");
        assertThat(csv).doesNotContain(",=1+1");
        assertThat(asha.get(path + "pdf").text()).startsWith("%PDF-");
        assertThat(asha.get(job + "/shot-lists/9/shots.pdf").status()).isEqualTo(404);
    }

    @Test
    void aRunIsNotBegunWithoutClearAndNotGoneOnWithUnlessItRuns() {
        String run = job + "/shot-lists/";
        Map<String, Object> step = Map.of("expected", 137, "anyway", false);
        assertThat(asha.send("POST", run + LIST + "/run", Map.of("clear", false)).code())
                .isIn("not-clear", "bad-value");
        assertThat(asha.send("POST", run + "run/next", step).code()).isEqualTo("not-running");
        assertThat(asha.send("POST", run + "run/skip", step).code()).isEqualTo("not-running");
        assertThat(asha.send("POST", run + "run/again", Map.of()).code()).isEqualTo("not-running");
        assertThat(asha.get(run + "run").json().get("state").asString()).isEqualTo("none");
    }

    /** Read from a switcher that was never heard, each camera at its inputs may be on air. */
    @Test
    void aTallyThatWasNeverHeardIsNotKnownAndByHandEndsThat() {
        JsonNode tally = asha.get(job + "/tally").json();
        assertThat(tally.get("switcher").isNull()).isTrue();
        assertThat(tally.get("possible").get(0).get("cameras").toString()).contains("L1", "L8");
        assertThat(asha.send("PUT", job + "/tally", Map.of("switcher", 26)).code())
                .isEqualTo("no-tally");
        assertThat(asha.send("PUT", job + "/tally", Map.of("switcher", 30)).status())
                .isEqualTo(200);
        assertThat(deskCamera("L1").get("tally").asString()).isEqualTo("not-known");
        assertThat(deskCamera("L1").get("onAir").asBoolean()).isTrue();
        assertThat(deskCamera("L10").get("onAir").asBoolean()).as("at no input").isFalse();
        asha.sendText("PUT", job + "/tally", "{\"switcher\":null}");
        assertThat(deskCamera("L1").get("onAir").asBoolean()).isFalse();
    }

    private JsonNode deskCamera(String name) {
        for (JsonNode camera : asha.get(job + "/desk").json().get("cameras")) {
            if (camera.get("name").asString().equals(name)) {
                return camera;
            }
        }
        throw new IllegalStateException("no " + name);
    }
}
