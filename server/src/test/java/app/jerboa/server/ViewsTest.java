package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
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

    /** The stick counts from 1 in banks of eight, and reaches 16 of the camera's 100. */
    @Test
    void viewsAreCalledWhatTheirControllerCallsThem() throws Exception {
        JsonNode row = row(10);
        assertThat(row.get("namedBy").asString()).isEqualTo("IP stick");
        assertThat(row.get("reach").asInt()).isEqualTo(16);
        assertThat(row.get("presets").get(2).get("called").asString()).isEqualTo("1-3");
        assertThat(row.get("callers").get(0).asString())
                .isEqualTo("IP stick calls them 1-1 to 2-8.");
        asha.send("POST", job + "/presets/10/2/move", Map.of("to", 40));
        assertThat(row(10).get("presets").get(2).get("called").asString())
                .as("no key so far out")
                .isEmpty();
        byte[] map = asha.getBytes(job + "/presets/key-map.pdf");
        try (PDDocument paper = Loader.loadPDF(map)) {
            assertThat(new PDFTextStripper().getText(paper))
                    .contains(
                            "Keys of IP stick", "1-1 wide", "does not call these", "Views of each");
        }
    }

    @Test
    void viewsChangePlacesAndTakesFollow() {
        String before = takesOf(L1);
        String move = job + "/presets/" + L1 + "/0/move";
        assertThat(asha.send("POST", move, Map.of("to", 1)).status()).isEqualTo(200);
        JsonNode moved = row(L1).get("presets");
        assertThat(moved.get(0).get("name").asString()).isEqualTo("house end");
        assertThat(moved.get(0).get("at").asString()).as("not stored there yet").isEmpty();
        assertThat(takesOf(L1)).isEqualTo(before);
        asha.send("POST", job + "/undo", Map.of());
        assertThat(row(L1).get("presets").get(0).get("name").asString()).isEqualTo("wide");
        assertThat(asha.send("POST", move, Map.of("to", 100)).code()).isEqualTo("bad-value");
        assertThat(asha.send("POST", move, Map.of("to", 0)).code()).isEqualTo("bad-value");
    }

    /** What its takes show, by name. */
    private String takesOf(long device) {
        StringBuilder all = new StringBuilder();
        for (JsonNode take : asha.get(job + "/shot-lists").json().get(0).get("takes")) {
            if (take.get("device").asLong() == device) {
                all.append(take.get("number")).append(take.get("presetName")).append(' ');
            }
        }
        return all.toString();
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
                        "7,48.00,5.00,L3,1,1-2,house end,stones by the house,skip points,1.29,0.00,1.29");
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

    /**
     * Drawn anew, the newest for each camera; what is no picture is refused and changes nothing.
     */
    @Test
    void aPictureIsDroppedForACameraThatGivesNone() throws Exception {
        String of = job + "/cameras/" + L8 + "/dropped";
        assertThat(asha.get(of).status()).isEqualTo(404);
        Answer kept = asha.sendFile(of, "picture", png(40, 30));
        assertThat(kept.status()).isEqualTo(201);
        assertThat(kept.json().get(0).get("by").asString()).isEqualTo("Asha Lindqvist");
        assertThat(asha.getBytes(of)).startsWith(0xFF, 0xD8);
        byte[] before = asha.getBytes(of);
        assertThat(asha.sendFile(of, "picture", new byte[] {1, 2, 3}).status()).isEqualTo(400);
        assertThat(asha.getBytes(of)).isEqualTo(before);
        assertThat(asha.sendFile(job + "/cameras/30/dropped", "picture", png(4, 4)).status())
                .as("a switcher sees nothing")
                .isEqualTo(404);
        assertThat(asha.send("DELETE", of, Map.of()).json()).isEmpty();
        assertThat(asha.get(job + "/cameras/dropped").json()).isEmpty();
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
