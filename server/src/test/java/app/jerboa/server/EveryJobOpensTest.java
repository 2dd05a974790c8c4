package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.server.jobfile.AnyJob;
import app.jerboa.server.profile.TestProfiles;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A stored job always opens: whatever a file or a change can store, every page gets its data. */
class EveryJobOpensTest extends RunningServer {
    private static final int JOBS = 25;

    /** Who answers only in a certain state of things: not found, or refused with words. */
    private static final String NOT_ALWAYS = ".*/(bring-up/sheet\\.pdf|events|rig)";

    private static List<String> pages(Client client) {
        List<String> pages = new ArrayList<>();
        client.get("/api/openapi")
                .json()
                .get("paths")
                .forEachEntry(
                        (path, methods) -> {
                            String rest = path.replace("/api/jobs/{job}", "");
                            if (!rest.equals(path)
                                    && methods.has("get")
                                    && !rest.contains("{")
                                    && !asksForMore(methods.get("get"))
                                    && !rest.matches(NOT_ALWAYS)) {
                                pages.add(rest);
                            }
                        });
        return pages;
    }

    private static boolean asksForMore(JsonNode route) {
        return all(route.path("parameters")).stream()
                .anyMatch(
                        p ->
                                p.get("in").asString().equals("query")
                                        && p.path("required").asBoolean(false));
    }

    @Test
    void whateverAFileMayHoldOpensOnEveryPage() {
        Client asha = new Client().signIn();
        List<String> pages = pages(asha);
        assertThat(pages).hasSizeGreaterThan(20).contains("", "/cabling", "/bring-up/methods");
        List<String> profiles = TestProfiles.ids();
        int opened = 0;
        for (long seed = 0; opened < JOBS; seed++) {
            Optional<byte[]> file = AnyJob.file(seed, TestProfiles.profiles(), profiles);
            if (file.isEmpty()) {
                continue;
            }
            opened++;
            Answer made = asha.sendBytes("/api/jobs/file", file.get());
            assertThat(made.status()).as("seed %d: %s", seed, made.text()).isEqualTo(201);
            opens(asha, made.json().get("id").asLong(), pages, "seed " + seed);
        }
    }

    private static void opens(Client asha, long job, List<String> pages, String what) {
        for (String page : pages) {
            Answer answer = asha.get("/api/jobs/" + job + page);
            assertThat(answer.status()).as("%s: %s %s", what, page, answer.text()).isEqualTo(200);
        }
        for (JsonNode finding : asha.get("/api/jobs/" + job).json().get("findings")) {
            assertThat(finding.get("code").asString())
                    .as("%s: %s", what, finding)
                    .isNotEqualTo("CHECK-BROKEN");
        }
    }

    /** Both were stored once and then answered 500 for ever. */
    @Test
    void tallyBesideInputAndOddGauges() {
        Client asha = new Client().signIn();
        Answer demo = asha.send("POST", "/api/jobs/demo", Map.of());
        String job = "/api/jobs/" + demo.json().get("id").asLong();
        JsonNode line = demo.json().get("lines").get(0);
        Answer tally =
                asha.send(
                        "POST",
                        job + "/changes",
                        edit("line", line.get("id").asLong(), "tally", "", "2"));
        assertThat(tally.status()).as(tally.text()).isEqualTo(200);
        assertThat(asha.get(job).text()).contains("Follow the tallies");
        long run = asha.get(job + "/cabling").json().get("runs").get(0).get("id").asLong();
        Answer gauge = asha.send("POST", job + "/changes", edit("run", run, "gauge", "", "13"));
        assertThat(List.of(gauge.status(), gauge.code())).containsExactly(400, "text-rejected");
        assertThat(gauge.text()).contains("12, 14, 16, 18, 20, 22, 23, 24, 26, 28");
        assertThat(asha.get(job).status()).isEqualTo(200);
    }
}
