package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Looks at the network over HTTP, from a machine that is not in the job's: all in words. */
class DiscoveryTest extends RunningServer {
    private Client asha;
    private String job;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
    }

    private Answer start(List<String> subnets, boolean confirmed) {
        return asha.send(
                "POST",
                job + "/discovery/start",
                Map.of("subnets", subnets, "confirmed", confirmed));
    }

    private void live() {
        asha.send("PUT", job + "/world", Map.of("world", "live", "confirmed", true));
    }

    private JsonNode ended() {
        await().atMost(Duration.ofSeconds(60)).until(() -> !state().equals("running"));
        return asha.get(job + "/discovery").json();
    }

    private String state() {
        return asha.get(job + "/discovery").json().get("state").asString();
    }

    @ParameterizedTest
    @CsvSource({
        "10.44.8.0/24, false, not-confirmed",
        "10.44.9.0/24, true, bad-value",
        "0.0.0.0/0, true, bad-value",
        "everything, true, bad-value"
    })
    void whatMayNotBeLookedThroughIsRefused(String subnet, boolean confirmed, String code) {
        live();
        assertThat(start(List.of(subnet), confirmed).code()).isEqualTo(code);
        assertThat(state()).isEqualTo("none");
    }

    @Test
    void withoutAWorldNothingIsSent() {
        assertThat(start(List.of("10.44.8.0/24"), true).code()).isEqualTo("no-world");
        JsonNode view = asha.get(job + "/discovery").json();
        assertThat(view.get("subnets").get(0).get("addresses").asInt()).isEqualTo(254);
        assertThat(view.get("subnets").get(0).get("seconds").asDouble()).isEqualTo(5.08);
    }

    @Test
    void fromElsewhereItEndsInWordsAndAnotherOneWaitsForItsEnd() {
        live();
        start(List.of("10.44.8.0/24"), true);
        assertThat(start(List.of("10.44.8.0/24"), true).code()).isEqualTo("running");
        JsonNode end = ended();
        assertThat(end.get("state").asString()).isEqualTo("stopped");
        assertThat(end.get("why").asString()).contains("no address in these subnets");
        assertThat(asha.get(job).json().get("lastLog").get("text").asString())
                .isEqualTo("Looked for devices: 0 answered at 254 addresses.");
    }

    @Test
    void cancelledItStopsAtOnce() {
        live();
        start(List.of("10.44.8.0/24"), true);
        asha.send("POST", job + "/discovery/cancel", Map.of());
        JsonNode end = ended();
        assertThat(end.get("state").asString()).isEqualTo("cancelled");
        assertThat(end.get("done").asInt()).isLessThan(254);
    }

    /** All are asked, none can be reached: each says why, none is taken for wrong. */
    @Test
    void devicesThatCannotBeReachedAreNotTakenForWrong() {
        live();
        asha.send("POST", job + "/prove/ask", Map.of("devices", List.of()));
        await().atMost(Duration.ofSeconds(60))
                .until(
                        () ->
                                asha.get(job + "/prove")
                                        .json()
                                        .get("state")
                                        .asString()
                                        .equals("done"));
        JsonNode found = asha.get(job + "/as-found").json();
        assertThat(found).hasSizeGreaterThan(10);
        found.forEach(
                d ->
                        d.get("facts")
                                .forEach(
                                        f ->
                                                assertThat(f.get("standing").asString())
                                                        .as(d + "")
                                                        .isEqualTo("cannot-tell")));
    }
}
