package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A kit from nothing, and what pasted print-outs say about the house. */
class KitAndSiteTest extends RunningServer {
    private Client asha;
    private String job;

    @BeforeEach
    void emptyJob() {
        asha = new Client().signIn();
        Map<String, String> body =
                Map.of(
                        "name",
                        "Chapel",
                        "units",
                        "m",
                        "cidr",
                        "10.10.0.0/24",
                        "gateway",
                        "10.10.0.254");
        job = "/api/jobs/" + asha.send("POST", "/api/jobs", body).json().get("id").asLong();
    }

    private JsonNode add(String profile, int count) {
        return asha.send("POST", job + "/kit", Map.of("profile", profile, "count", count)).json();
    }

    @Test
    void aKitFromNothingIsOneUndoAPieceAndComesBackWhole() {
        assertThat(asha.get(job + "/profiles").json().findValuesAsString("id"))
                .contains("ceiling-ptz");
        add("ip-stick-8-counting", 1);
        JsonNode view = add("ceiling-ptz", 4);
        assertThat(view.get("devices").findValuesAsString("address"))
                .containsExactly(
                        "10.10.0.11", "10.10.0.21", "10.10.0.22", "10.10.0.23", "10.10.0.24");
        assertThat(view.get("undo").asString()).isEqualTo("L1 to L4 added (4 devices)");
        assertThat(view.get("findings").findValuesAsString("severity")).doesNotContain("stop");
        long stick = view.get("devices").get(0).get("id").asLong();
        JsonNode without =
                asha.send("POST", job + "/kit/remove", Map.of("devices", List.of(stick))).json();
        for (JsonNode line : without.get("lines")) {
            assertThat(line.get("key").isNull()).isTrue();
        }
        JsonNode back = asha.send("POST", job + "/undo", Map.of()).json();
        assertThat(back.get("lines")).isEqualTo(view.get("lines"));
        assertThat(asha.send("POST", job + "/undo", Map.of()).json().get("devices")).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource({"nose, 1, profile", "ceiling-ptz, 0, count", "ceiling-ptz, 101, count"})
    void aSlipIsRefusedAtItsField(String profile, int count, String field) {
        assertThat(add(profile, count).get("field").asString()).isEqualTo(field);
    }

    /** Inside the house network, and outside of it. */
    @ParameterizedTest
    @CsvSource({"taken, 10.10.0.70", "reserved, 10.10.0.71", "pool, 10.10.0.72", "taken, 10.9.0.1"})
    void aNotedAddressIsAnsweredWithItsRowAlone(String use, String address) {
        add("ceiling-ptz", 4);
        Map<String, Object> range =
                Map.of(
                        "item",
                        "range",
                        "id",
                        -1,
                        "values",
                        Map.of("use", use, "first", address, "last", address, "holder", "till"));
        long before = asha.get(job).json().get("version").asLong();
        Map<String, Object> changes =
                Map.of("adds", List.of(range), "edits", List.of(), "removes", List.of());
        assertThat(asha.send("POST", job + "/changes", changes).status()).isEqualTo(200);
        JsonNode patch = asha.get(job + "/patch?since=" + before).json();
        assertThat(patch.get("ranges").get("put").findValuesAsString("first"))
                .containsExactly(address);
        assertThat(patch.propertyNames())
                .doesNotContain("site", "subnets", "devices", "lines", "runs", "findings");
    }

    @Test
    void pastedNeighboursAreSortedOutAndNothingIsTakenOverByItself() {
        add("ceiling-ptz", 1);
        long camera = asha.get(job).json().get("devices").get(0).get("id").asLong();
        asha.send("POST", job + "/changes", edit("device", camera, "mac", "", "02:4a:20:00:00:01"));
        String text =
                """
                10.10.0.30 dev eth0 lladdr 02:11:22:33:44:55 STALE
                10.10.0.99 dev eth0 lladdr 02:4a:20:00:00:01 REACHABLE
                10.10.0.254 dev eth0 lladdr 02:11:22:33:44:56 REACHABLE
                192.168.1.9 dev eth0 lladdr 02:11:22:33:44:57 REACHABLE
                10.10.0.31 dev eth0 FAILED
                """;
        JsonNode read = asha.send("POST", job + "/site/neighbours", Map.of("text", text)).json();
        assertThat(read.get("neighbours").findValuesAsString("state"))
                .containsExactly("new", "ours", "gateway", "outside");
        assertThat(read.get("refused").get(0).get("line").asInt()).isEqualTo(5);
        assertThat(asha.get(job).json().get("ranges")).isEmpty();
        String huge = "x".repeat(200_001);
        assertThat(
                        asha.send("POST", job + "/site/neighbours", Map.of("text", huge))
                                .json()
                                .get("field")
                                .asString())
                .isEqualTo("text");
        JsonNode where =
                asha.send(
                                "POST",
                                job + "/site/interfaces",
                                Map.of("text", "inet 10.10.0.81/24 scope global eth0"))
                        .json();
        assertThat(where.get(0).get("cidr").asString()).isEqualTo("10.10.0.0/24");
    }
}
