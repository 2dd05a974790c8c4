package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What was seen of a job, over HTTP: taken in, shown, read together with the plan. */
class ProofTest extends RunningServer {
    private static final long L1 = 7;
    private Client asha;
    private String job;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
    }

    private Answer see(Client who, String what, String outcome, String... more) {
        Map<String, String> fields = new HashMap<>();
        fields.put("device", Long.toString(L1));
        fields.put("what", what);
        fields.put("outcome", outcome);
        for (int i = 0; i < more.length; i += 2) {
            fields.put(more[i], more[i + 1]);
        }
        return who.sendForm(job + "/observations", fields);
    }

    private String standing(String test) {
        return all(asha.get(job + "/standings").json()).stream()
                .filter(s -> s.get("name").asString().equals("L1"))
                .filter(s -> s.get("test").asString().equals(test))
                .map(s -> s.get("standing").asString() + " " + s.get("why").asString())
                .findFirst()
                .orElseThrow()
                .strip();
    }

    private JsonNode camera() {
        return all(asha.get(job).json().get("devices")).stream()
                .filter(d -> d.get("id").asLong() == L1)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsSeenRaisesNoVersionAndIsThereForEverybody() {
        JsonNode before = asha.get(job).json();
        assertThat(see(asha, "address", "ok", "value", "10.44.8.21").status()).isEqualTo(201);
        JsonNode after = asha.get(job).json();
        assertThat(after.get("version")).isEqualTo(before.get("version"));
        assertThat(after.get("observed").asLong()).isEqualTo(1);
        assertThat(camera().get("mark").asString()).isEqualTo("set");
        assertThat(camera().get("found").asString()).isEqualTo("10.44.8.21");
        assertThat(standing("address")).isEqualTo("seen");
        JsonNode patch = asha.get(job + "/patch?since=1&observed=0").json();
        assertThat(patch.get("devices").get("put")).hasSize(1);
        assertThat(asha.get(job + "/file").text()).doesNotContain("\"found\"");
        Map<String, Object> rename = edit("device", L1, "name", "L1", "L1 left");
        assertThat(asha.send("POST", job + "/changes", rename).status()).isEqualTo(200);
        assertThat(camera().get("mark").asString()).isEqualTo("set");
    }

    /** One has an address to be found at, the other a lead; the newest observation counts. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "7  | address ok 10.44.8.21                        | 13 1 0",
                "7  | address ok 10.44.8.99                        | 13 0 1",
                "7  | control ok VISCA                             | 14 0 0",
                "16 | control ok VISCA                             | 13 1 0",
                "16 | control ok VISCA, control failed VISCA       | 13 0 1",
                "16 | control failed VISCA, control ok VISCA       | 13 1 0",
                "16 | control cannot-tell VISCA                    | 14 0 0",
            })
    void theListOfJobsCountsWhatIsSet(String device, String seen, String counts) {
        for (String one : seen.split(", ", -1)) {
            String[] it = one.split(" ", -1);
            assertThat(see(asha, it[0], it[1], "device", device, "value", it[2]).status())
                    .isEqualTo(201);
        }
        long id = Long.parseLong(job.substring(job.lastIndexOf('/') + 1));
        JsonNode summary =
                all(asha.get("/api/jobs").json()).stream()
                        .filter(j -> j.get("id").asLong() == id)
                        .findFirst()
                        .orElseThrow();
        assertThat(summary.get("planned") + " " + summary.get("set") + " " + summary.get("differs"))
                .isEqualTo(counts);
    }

    @Test
    void observationsComeNewestFirstInPages() {
        for (String what : List.of("moves", "zoom", "stop", "moves", "mac")) {
            see(asha, what, "ok", "value", "v", "note", "with my own eyes");
        }
        JsonNode page = asha.get(job + "/observations?limit=2").json();
        assertThat(page.get("more").asBoolean()).isTrue();
        assertThat(all(page.get("observations")))
                .extracting(o -> o.get("number").asLong())
                .containsExactly(5L, 4L);
        JsonNode older = asha.get(job + "/observations?before=4&limit=50").json();
        assertThat(older.get("observations")).hasSize(3);
        assertThat(older.get("more").asBoolean()).isFalse();
        JsonNode moves = asha.get(job + "/observations?line=L1&what=moves").json();
        assertThat(moves.get("observations")).hasSize(2);
        JsonNode newest = moves.get("observations").get(0);
        assertThat(newest.get("evidence").asString()).isEqualTo("seen");
        assertThat(newest.get("person").asString()).isEqualTo("Asha Lindqvist");
        assertThat(newest.get("basis").get("profile").asString()).isEqualTo("ceiling-ptz");
        assertThat(asha.get(job + "/observations?line=L99").status()).isEqualTo(404);
        assertThat(asha.get(job + "/observations?what=colour").code()).isEqualTo("bad-value");
    }

    @ParameterizedTest
    @CsvSource({
        "colour, ok, seen, what",
        "happening, ok, seen, what",
        "moves, fine, seen, outcome",
        "moves, ok, asked, evidence"
    })
    void whatCannotBeSeenIsRefusedAtItsPlace(
            String what, String outcome, String evidence, String field) {
        Answer answer = see(asha, what, outcome, "evidence", evidence);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("field").asString()).isEqualTo(field);
        assertThat(asha.get(job).json().get("observed").asLong()).isZero();
    }

    @Test
    void aChangeSaysWhatMustBeProvedAgainAndUndoMakesItFreshAgain() {
        see(asha, "key", "ok");
        see(asha, "moves", "ok");
        Map<String, Object> move = edit("device", L1, "address", "10.44.8.21", "10.44.8.41");
        JsonNode again = asha.send("POST", job + "/changes/preview", move).json().get("again");
        assertThat(again).hasSize(1);
        assertThat(again.get(0).get("tests").toString()).isEqualTo("[\"key\"]");
        asha.send("POST", job + "/changes", move);
        assertThat(standing("key")).isEqualTo("stale Proved before the planned address changed.");
        assertThat(standing("moves")).isEqualTo("seen");
        assertThat(all(asha.get(job).json().get("findings")))
                .anyMatch(f -> f.get("code").asString().equals("EVID-STALE"));
        asha.send("POST", job + "/undo", Map.of());
        assertThat(standing("key")).isEqualTo("seen");
    }

    @Test
    void afterAKnockNothingHoldsAndADifferenceCanBeTakenOver() {
        see(asha, "moves", "ok");
        Map<String, Object> knock = Map.of("deviceId", L1, "what", "knock", "note", "a trolley");
        assertThat(asha.send("POST", job + "/happenings", knock).status()).isEqualTo(201);
        assertThat(standing("moves")).startsWith("stale Proved before its place");
        assertThat(camera().get("mark").asString()).isEqualTo("stale");
        Map<String, Object> flood = Map.of("deviceId", L1, "what", "flood");
        assertThat(asha.send("POST", job + "/happenings", flood).code()).isEqualTo("bad-value");
        see(asha, "mac", "differs", "value", "02:4a:20:00:00:77");
        assertThat(camera().get("mark").asString()).isEqualTo("differs");
        JsonNode finding =
                all(asha.get(job).json().get("findings")).stream()
                        .filter(f -> f.get("code").asString().equals("EVID-DIFFERS"))
                        .findFirst()
                        .orElseThrow();
        String fix = finding.get("fixes").get(0).get("changes").toString();
        assertThat(asha.sendText("POST", job + "/changes", fix).status()).isEqualTo(200);
        assertThat(camera().get("mac").asString()).isEqualTo("02:4a:20:00:00:77");
    }

    /** A tick lifts nothing that was found wrong; what does not apply says why. */
    @Test
    void standingsAreReadInOnePlace() {
        see(asha, "stop", "failed");
        see(asha, "stop", "ok", "evidence", "told");
        assertThat(standing("stop")).isEqualTo("failed");
        assertThat(standing("tally"))
                .isEqualTo("not-applicable Not wanted from afar on this line.");
        assertThat(standing("zoom")).isEqualTo("open");
        Client viewer = member(asha, job, "viewer-" + System.nanoTime(), "viewer");
        assertThat(viewer.get(job + "/standings").status()).isEqualTo(200);
        assertThat(see(viewer, "stop", "ok").status()).isEqualTo(403);
    }

    /** Files of before told where a device was found; what they told is not lost. */
    @Test
    void aJobFileOfBeforeTellsWhereDevicesWereFound() {
        String file =
                asha.get(job + "/file")
                        .text()
                        .replaceFirst("(\"name\" : \"L1\",)", "$1 \"found\" : \"10.44.8.21\",");
        JsonNode made = asha.sendText("POST", "/api/jobs/file", file).json();
        assertThat(made.get("observed").asLong()).isEqualTo(1);
        assertThat(all(made.get("devices")))
                .filteredOn(d -> d.get("found").asString().equals("10.44.8.21"))
                .hasSize(1);
        String bad = file.replace("\"found\" : \"10.44.8.21\"", "\"found\" : \"10.44.8\"");
        assertThat(asha.sendText("POST", "/api/jobs/file", bad).status()).isEqualTo(400);
    }
}
