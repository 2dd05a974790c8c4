package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Undo and redo per person, what lapses and why, the logbook, writes at the same time. */
class CommandLogTest extends RunningServer {
    private static final long L1 = 7;
    private static final long L2 = 8;
    private Client asha;
    private Client tomas;
    private String job;

    @BeforeEach
    void twoPeopleInOneJob() {
        asha = new Client().signIn();
        job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        tomas = member(asha, job, "tomas", "technician");
    }

    private Answer move(Client who, long device, String from, String to) {
        return who.send("POST", job + "/changes", edit("device", device, "address", from, to));
    }

    private String addressOf(String name) {
        for (JsonNode d : asha.get(job).json().get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d.get("address").asString();
            }
        }
        throw new IllegalStateException(name);
    }

    @Test
    void everybodyTakesBackTheirOwn() {
        move(asha, L1, "10.44.8.21", "10.44.8.41");
        move(tomas, L2, "10.44.8.22", "10.44.8.42");
        asha.send("POST", job + "/undo", Map.of());
        assertThat(addressOf("L1")).isEqualTo("10.44.8.21");
        assertThat(addressOf("L2")).isEqualTo("10.44.8.42");
        tomas.send("POST", job + "/undo", Map.of());
        assertThat(addressOf("L2")).isEqualTo("10.44.8.22");
        asha.send("POST", job + "/redo", Map.of());
        assertThat(addressOf("L1")).isEqualTo("10.44.8.41");
    }

    @Test
    void whatSomebodyElseOvertookLapsesAndSaysWho() {
        move(asha, L2, "10.44.8.22", "10.44.8.52");
        move(asha, L1, "10.44.8.21", "10.44.8.41");
        move(tomas, L1, "10.44.8.41", "10.44.8.43");
        Answer lapsed = asha.send("POST", job + "/undo", Map.of());
        assertThat(lapsed.status()).isEqualTo(409);
        assertThat(lapsed.code()).isEqualTo("no-longer-undo");
        assertThat(lapsed.json().get("detail").asString())
                .contains("L1: the address was changed since by Tomas Okoro", "10.44.8.43");
        assertThat(addressOf("L1")).isEqualTo("10.44.8.43");
        assertThat(asha.send("POST", job + "/undo", Map.of()).status()).isEqualTo(200);
        assertThat(addressOf("L2")).isEqualTo("10.44.8.22");
    }

    @Test
    void itemsAreAddedTogetherRemovedAndComeBackAsTheyWere() {
        Map<String, Object> camera =
                Map.of(
                        "item",
                        "device",
                        "id",
                        -1,
                        "values",
                        Map.of("name", "L15", "profile", "ceiling-ptz"));
        Map<String, Object> line =
                Map.of(
                        "item",
                        "line",
                        "id",
                        -2,
                        "values",
                        Map.of("number", "15", "camera", "-1", "controlId", "5"));
        Answer added =
                asha.send(
                        "POST",
                        job + "/changes",
                        Map.of(
                                "adds",
                                List.of(camera, line),
                                "edits",
                                List.of(),
                                "removes",
                                List.of()));
        assertThat(added.status()).as(added.text()).isEqualTo(200);
        JsonNode lines = added.json().get("lines");
        long device = lines.get(14).get("cameraId").asLong();
        List<Map<String, Object>> both =
                List.of(
                        Map.of("item", "line", "id", lines.get(14).get("id").asLong()),
                        Map.of("item", "device", "id", device));
        Map<String, Object> onlyDevice =
                Map.of("adds", List.of(), "edits", List.of(), "removes", both.subList(1, 2));
        assertThat(asha.send("POST", job + "/changes", onlyDevice).json().get("detail").asString())
                .contains("there is no device of that number");
        Map<String, Object> removal =
                Map.of("adds", List.of(), "edits", List.of(), "removes", both);
        assertThat(asha.send("POST", job + "/changes", removal).json().get("lines")).hasSize(14);
        JsonNode back = asha.send("POST", job + "/undo", Map.of()).json();
        assertThat(back.get("lines")).isEqualTo(lines);
        tomas.send("POST", job + "/changes", edit("device", device, "name", "L15", "Balcony"));
        assertThat(asha.send("POST", job + "/undo", Map.of()).code()).isEqualTo("no-longer-undo");
    }

    @Test
    void aWaiverStaysVisibleAndIsTakenBackLikeAnyChange() {
        JsonNode finding = asha.get(job).json().get("findings").get(0);
        Map<String, String> body =
                Map.of("finding", finding.get("key").asString(), "reason", "tape over that key");
        assertThat(
                        tomas.send(
                                        "POST",
                                        job + "/waivers",
                                        Map.of("finding", "nose", "reason", "why not"))
                                .code())
                .isEqualTo("no-such-finding");
        assertThat(
                        tomas.send(
                                        "POST",
                                        job + "/waivers",
                                        Map.of(
                                                "finding",
                                                finding.get("key").asString(),
                                                "reason",
                                                " "))
                                .code())
                .isEqualTo("text-rejected");
        JsonNode waived = tomas.send("POST", job + "/waivers", body).json().get("findings");
        JsonNode last = waived.get(waived.size() - 1);
        assertThat(last.get("key")).isEqualTo(finding.get("key"));
        assertThat(last.get("waiver").get("person").asString()).isEqualTo("Tomas Okoro");
        assertThat(asha.get(job + "/log").json().get("entries").get(0).get("text").asString())
                .isEqualTo(finding.get("code").asString() + " waived: tape over that key");
        long waiver = last.get("waiver").get("id").asLong();
        JsonNode lifted = asha.sendText("DELETE", job + "/waivers/" + waiver, "").json();
        assertThat(lifted.get("findings").get(0).get("key")).isEqualTo(finding.get("key"));
        assertThat(
                        asha.send("POST", job + "/undo", Map.of())
                                .json()
                                .get("findings")
                                .get(waived.size() - 1)
                                .get("waiver")
                                .get("id")
                                .asLong())
                .isEqualTo(waiver);
    }

    @Test
    void theLogbookIsReadByFilterAndOnlyAddedTo() throws SQLException {
        move(asha, L1, "10.44.8.21", "10.44.8.41");
        move(tomas, L2, "10.44.8.22", "10.44.8.42");
        assertThat(texts("?device=" + L1)).containsExactly("L1: address 10.44.8.21 to 10.44.8.41");
        assertThat(texts("?person=Tomas%20Okoro&kind=change"))
                .containsExactly("L2: address 10.44.8.22 to 10.44.8.42");
        assertThat(texts("?day=2001-01-01")).isEmpty();
        assertThat(texts("?limit=1")).hasSize(1);
        assertThat(asha.get(job + "/log?day=yesterday").code()).isEqualTo("bad-value");
        JsonNode page = asha.get(job + "/log?limit=2").json();
        assertThat(page.get("more").asBoolean()).isTrue();
        long before = page.get("entries").get(1).get("id").asLong();
        assertThat(texts("?before=" + before)).doesNotContainAnyElementsOf(texts("?limit=2"));
        try (Connection direct =
                        DriverManager.getConnection(databaseUrl(), "jerboa", databasePassword());
                var statement = direct.createStatement()) {
            for (String tampering :
                    List.of("update log_entry set text = 'x'", "delete from log_entry")) {
                assertThatThrownBy(() -> statement.execute(tampering))
                        .hasMessageContaining("only added to");
            }
        }
    }

    private List<String> texts(String query) {
        return asha.get(job + "/log" + query).json().get("entries").findValuesAsString("text");
    }

    @Test
    void ownEntriesCarryAPhotoDrawnAnew() {
        Answer written = asha.sendNote(job + "/log", "Ladder left at the door", L1, png(40, 30));
        assertThat(written.status()).as(written.text()).isEqualTo(201);
        JsonNode entry = asha.get(job + "/log?kind=note").json().get("entries").get(0);
        assertThat(entry.get("devices").get(0).asLong()).isEqualTo(L1);
        Answer photo = asha.get(job + "/log/photos/" + entry.get("photoId").asLong());
        assertThat(photo.raw().headers().firstValue("Content-Type")).contains("image/jpeg");
        Answer fake =
                asha.sendNote(
                        job + "/log", "A page", L1, "<html>".getBytes(StandardCharsets.UTF_8));
        assertThat(fake.code()).isEqualTo("not-a-picture");
        assertThat(asha.sendNote(job + "/log", "  ", L1, png(4, 4)).code()).isEqualTo("bad-value");
        assertThat(asha.get(job + "/log?kind=note").json().get("entries")).hasSize(1);
    }

    @Test
    void twentyWritersAtOnceLoseNothing() {
        List<CompletableFuture<Integer>> writes = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            String name = "Spare " + i;
            Map<String, Object> add =
                    Map.of(
                            "item",
                            "device",
                            "id",
                            -1,
                            "values",
                            Map.of("name", name, "profile", "ceiling-ptz"));
            Client who = i % 2 == 0 ? asha : tomas;
            writes.add(
                    CompletableFuture.supplyAsync(
                            () ->
                                    who.send(
                                                    "POST",
                                                    job + "/changes",
                                                    Map.of(
                                                            "adds",
                                                            List.of(add),
                                                            "edits",
                                                            List.of(),
                                                            "removes",
                                                            List.of()))
                                            .status()));
        }
        assertThat(writes).allSatisfy(w -> assertThat(w.join()).isEqualTo(200));
        JsonNode view = asha.get(job).json();
        assertThat(view.get("devices")).hasSize(40 + 20);
        assertThat(view.get("version").asLong()).isEqualTo(1 + 20);
    }
}
