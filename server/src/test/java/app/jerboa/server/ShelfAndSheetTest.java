package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Lists out of spreadsheets, a job's own profiles, what is done before the van leaves. */
class ShelfAndSheetTest extends RunningServer {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private Client asha;
    private String job;

    @BeforeEach
    void emptyJob() {
        asha = new Client().signIn();
        Map<String, String> body =
                Map.of(
                        "name", "Ropewalk",
                        "units", "m",
                        "cidr", "10.10.0.0/24",
                        "gateway", "10.10.0.254");
        job = "/api/jobs/" + asha.send("POST", "/api/jobs", body).json().get("id").asLong();
    }

    private Answer sheet(String path, String text) {
        return asha.send(
                "POST",
                job + "/kit/sheet" + path,
                Map.of("text", text, "columns", List.of(), "headings", true));
    }

    @Test
    void goodRowsOfASheetAreTakenAndBadOnesSayWhy() {
        String text =
                """
                Camera;Model;MAC address
                Rink north;ceiling-ptz;02-4A-20-00-00-01
                Rink south;flying-ptz;02:4a:20:00:00:02
                Rink east;ceiling-ptz;02:4a:20
                """;
        JsonNode look = sheet("/preview", text).json();
        assertThat(look.get("columns").toString()).isEqualTo("[\"name\",\"profile\",\"mac\"]");
        assertThat(look.get("bad").findValuesAsString("line")).containsExactly("3", "4");
        assertThat(look.get("adds").asInt()).isEqualTo(1);
        assertThat(asha.get(job).json().get("devices")).isEmpty();
        JsonNode devices = sheet("", text).json().get("devices");
        assertThat(devices.findValuesAsString("mac")).containsExactly("02:4a:20:00:00:01");
        JsonNode again = sheet("/preview", text).json();
        assertThat(again.get("adds").asInt()).isZero();
        assertThat(asha.send("POST", job + "/undo", Map.of()).json().get("devices")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1001, too many", "1, nothing"})
    void aSheetThatCannotBeTakenIsRefused(int rows, String words) {
        String line = words.equals("nothing") ? "x\tnose\n" : "x\tceiling-ptz\n";
        Answer answer = sheet("", "Name\tModel\n" + line.repeat(rows * 11));
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(asha.get(job).json().get("devices")).isEmpty();
    }

    private Map<String, Object> facts(String id) {
        return JSON.convertValue(
                asha.get(job + "/profiles/" + id).json().get("facts"), new TypeReference<>() {});
    }

    @Test
    void aProfileIsCopiedEditedCarriedAndTakenBack() {
        Map<String, Object> mine = new LinkedHashMap<>(facts("ceiling-ptz"));
        assertThat(asha.send("POST", job + "/profiles", mine).code()).isEqualTo("profile-id-taken");
        mine.put("id", "my-ptz");
        mine.put("name", "Ceiling PTZ, ours");
        Answer added = asha.send("POST", job + "/profiles", mine);
        String hash = added.json().get("ownProfiles").asString();
        long own = asha.get(job + "/profiles/my-ptz").json().get("own").asLong();
        assertThat(own).isPositive();
        Map<String, Object> slower = new LinkedHashMap<>(mine);
        slower.put("bootSeconds", 90);
        Map<String, Object> change = Map.of("was", mine, "facts", slower);
        Answer changed = asha.send("PUT", job + "/profiles/" + own, change);
        assertThat(changed.json().get("ownProfiles").asString()).isNotEqualTo(hash);
        assertThat(asha.send("PUT", job + "/profiles/" + own, change).status()).isEqualTo(409);
        Answer file = asha.get(job + "/profiles/my-ptz/file");
        assertThat(file.raw().headers().firstValue("Content-Disposition").orElse(""))
                .contains("my-ptz.profile.json");
        emptyJob();
        Map<String, Object> carried =
                JSON.readValue(file.text(), new TypeReference<Map<String, Object>>() {});
        assertThat(asha.send("POST", job + "/profiles", carried).status()).isEqualTo(200);
        assertThat(facts("my-ptz")).containsEntry("bootSeconds", 90);
        Answer undone = asha.send("POST", job + "/undo", Map.of());
        assertThat(undone.status()).as(undone.text()).isEqualTo(200);
        assertThat(asha.get(job + "/profiles/my-ptz").status()).isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource({"id, No Such Id, /id", "bootSeconds, 90000, /bootSeconds", "nose, 1, nose"})
    void aWrongFactIsNamedByItsPlace(String place, String value, String at) {
        Map<String, Object> mine = new LinkedHashMap<>(facts("ceiling-ptz"));
        mine.put("id", "my-ptz");
        mine.put(place, place.equals("id") ? value : Integer.valueOf(value));
        Answer answer = asha.send("POST", job + "/profiles", mine);
        assertThat(answer.code()).isEqualTo("profile-rejected");
        assertThat(answer.text()).contains(at);
    }

    @Test
    void whatIsDoneBeforeTheVanLeavesIsTickedByName() {
        asha.send("POST", job + "/kit", Map.of("profile", "tablet-control", "count", 1));
        JsonNode list = asha.get(job + "/preparation").json();
        assertThat(list).isNotEmpty();
        JsonNode first = list.get(0);
        Map<String, Object> tick =
                Map.of(
                        "device", first.get("device"),
                        "profile", first.get("profile").asString(),
                        "what", first.get("what").asString(),
                        "done", true);
        assertThat(asha.send("POST", job + "/preparation", tick).status()).isEqualTo(200);
        assertThat(asha.get(job + "/preparation").json().findValuesAsString("doneBy"))
                .contains("Asha Lindqvist");
        asha.send("POST", job + "/undo", Map.of());
        assertThat(asha.get(job + "/preparation").json().findValuesAsString("doneBy"))
                .containsOnly("");
    }

    @Test
    void lengthsAreTidiedAndNetworksMayNotOverlap() {
        long site = asha.get(job).json().get("site").get("id").asLong();
        JsonNode tidied =
                asha.send("POST", job + "/changes", edit("site", site, "usualRun", "30", "80ft"))
                        .json();
        assertThat(tidied.get("site").get("usualRun").asString()).isEqualTo("24.384");
        Map<String, Object> second =
                Map.of(
                        "adds",
                        List.of(
                                Map.of(
                                        "item",
                                        "subnet",
                                        "id",
                                        -1,
                                        "values",
                                        Map.of(
                                                "cidr",
                                                "10.10.0.128/25",
                                                "gateway",
                                                "10.10.0.129",
                                                "laptopHome",
                                                "10.10.0.130"))),
                        "edits",
                        List.of(),
                        "removes",
                        List.of());
        Answer overlap = asha.send("POST", job + "/changes", second);
        assertThat(overlap.status()).as(overlap.text()).isEqualTo(400);
        assertThat(overlap.text()).contains("overlap");
    }
}
