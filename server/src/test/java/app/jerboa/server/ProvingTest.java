package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Runs of tests over HTTP, without a rig: nothing can be reached, and everything says so. */
class ProvingTest extends RunningServer {
    private Client asha;
    private String job;
    private long line;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        JsonNode view = asha.send("POST", "/api/jobs/demo", Map.of()).json();
        job = "/api/jobs/" + view.get("id").asLong();
        line = view.get("lines").get(0).get("id").asLong();
    }

    private Answer start(Client who, List<Long> lines, List<String> tests, boolean clear) {
        return who.send(
                "POST",
                job + "/prove/start",
                Map.of("lines", lines, "tests", tests, "clear", clear));
    }

    private void ended() {
        await().atMost(Duration.ofSeconds(60))
                .until(
                        () ->
                                !asha.get(job + "/prove")
                                        .json()
                                        .get("state")
                                        .asString()
                                        .equals("running"));
    }

    /** Tests, "clear" said: the code of the refusal. */
    @ParameterizedTest
    @CsvSource({
        "moves, false, not-clear",
        "stop, false, not-clear",
        "zoom, false, not-clear",
        "tally, true, nothing-to-prove",
        "key, true, nothing-to-prove",
        "colour, true, bad-value",
        "mac, true, bad-value"
    })
    void whatMayNotBeStartedIsRefused(String test, boolean clear, String code) {
        assertThat(start(asha, List.of(line), List.of(test), clear).code()).isEqualTo(code);
        assertThat(asha.get(job + "/prove").json().get("state").asString()).isEqualTo("none");
    }

    @Test
    void whatCannotBeReachedCannotBeTold() {
        List<String> tests = List.of("link", "address", "moves", "focus", "stop", "stream");
        assertThat(start(asha, List.of(line), tests, true).status()).isEqualTo(200);
        ended();
        JsonNode run = asha.get(job + "/prove").json();
        assertThat(run.get("state").asString()).isEqualTo("done");
        assertThat(run.get("done").asInt()).isEqualTo(tests.size());
        assertThat(run.get("left")).isEmpty();
        List<JsonNode> seen = all(asha.get(job + "/observations").json().get("observations"));
        assertThat(seen).hasSize(tests.size());
        assertThat(seen)
                .allSatisfy(
                        o -> {
                            assertThat(o.get("outcome").asString()).isEqualTo("cannot-tell");
                            assertThat(o.get("evidence").asString()).isEqualTo("asked");
                            assertThat(o.get("detail").asString()).isNotBlank();
                        });
        assertThat(all(asha.get(job).json().get("lines")).get(0).get("proved").asInt()).isZero();
    }

    @Test
    void whatCannotBePutBackSaysWhy() throws SQLException {
        JsonNode device = asha.get(job).json().get("devices").get(0);
        leftAMovedHead(device.get("id").asLong());
        Answer stays = asha.send("POST", job + "/prove/put-back", Map.of());
        assertThat(stays.code()).isEqualTo("not-put-back");
        assertThat(stays.json().get("detail").asString())
                .startsWith("Not put back: " + device.get("name").asString() + " head (");
        assertThat(asha.get(job + "/prove").json().get("left")).hasSize(1);
    }

    /** It may come back: an undo brings it. */
    @Test
    void whatWasLeftOfADeviceThatIsPlannedNoMoreKeepsNobody() throws SQLException {
        leftAMovedHead(999_999);
        assertThat(asha.get(job + "/prove").json().get("left")).isEmpty();
        assertThat(asha.send("POST", job + "/prove/put-back", Map.of()).status()).isEqualTo(200);
    }

    private void leftAMovedHead(long device) throws SQLException {
        try (var connection =
                        DriverManager.getConnection(databaseUrl(), "jerboa", databasePassword());
                var row =
                        connection.prepareStatement(
                                "insert into put_back (job_id, device_id, what, value, server, login) values (?, ?, 'head', '0 0 0', 'one', 'asha')")) {
            row.setLong(1, Long.parseLong(job.substring(job.lastIndexOf('/') + 1)));
            row.setLong(2, device);
            row.executeUpdate();
        }
    }

    @Test
    void whoLooksOnStartsNothingAndStopsNothing() {
        Client viewer = member(asha, job, "viewer-" + System.nanoTime(), "viewer");
        assertThat(start(viewer, List.of(line), List.of("address"), false).status()).isEqualTo(403);
        for (String what : List.of("cancel", "stop-all", "put-back")) {
            assertThat(viewer.send("POST", job + "/prove/" + what, Map.of()).status())
                    .as(what)
                    .isEqualTo(403);
        }
        assertThat(viewer.get(job + "/prove").status()).isEqualTo(200);
    }
}
