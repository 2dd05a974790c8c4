package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Where a job's commands go: nowhere, until a lead chooses, knowingly. This server has no rig. */
class WorldTest extends RunningServer {
    private final Client asha = new Client();

    private String fresh() {
        Map<String, String> body =
                Map.of(
                        "name",
                        "Chapel",
                        "units",
                        "m",
                        "cidr",
                        "10.10.0.0/24",
                        "gateway",
                        "10.10.0.1");
        return "/api/jobs/"
                + asha.signIn().send("POST", "/api/jobs", body).json().get("id").asLong();
    }

    private static Map<String, Object> choice(String world, boolean confirmed) {
        return Map.of("world", world, "confirmed", confirmed);
    }

    @Test
    void aNewJobHasNoneUntilALeadConfirmsOne() {
        String job = fresh();
        JsonNode before = asha.get(job + "/world").json();
        assertThat(before.get("world").asString()).isEmpty();
        assertThat(before.get("offered")).hasSize(1);
        assertThat(asha.send("PUT", job + "/world", choice("live", false)).code())
                .isEqualTo("not-confirmed");
        JsonNode after = asha.send("PUT", job + "/world", choice("live", true)).json();
        assertThat(after.get("words").asString()).isEqualTo("Live network");
        assertThat(after.get("cautions").get(0).asString())
                .contains("No address of this machine is in a subnet of the job");
        assertThat(asha.get(job).json().get("lastLog").get("text").asString())
                .isEqualTo("Commands go to: Live network (before: No network chosen)");
        assertThat(asha.send("PUT", job + "/world", choice("rig", true)).code())
                .isEqualTo("no-such-world");
        assertThat(asha.send("PUT", job + "/world", choice("moon", true)).code())
                .isEqualTo("bad-value");
        assertThat(asha.get(job + "/world").json().get("world").asString()).isEqualTo("live");
    }

    @Test
    void aCopyStartsWithNone() {
        String job = fresh();
        asha.send("PUT", job + "/world", choice("live", true));
        long copy = asha.send("POST", job + "/duplicate", Map.of()).json().get("id").asLong();
        assertThat(asha.get("/api/jobs/" + copy + "/world").json().get("world").asString())
                .isEmpty();
    }

    @Test
    void onlyALeadChooses() {
        String job = fresh();
        Client tomas = member(asha, job, "tomas", "technician");
        assertThat(tomas.send("PUT", job + "/world", choice("live", true)).status()).isEqualTo(403);
        assertThat(tomas.get(job + "/world").status()).isEqualTo(200);
    }
}
