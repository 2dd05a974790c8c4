package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Jobs as wholes: made, copied, renamed, put away, thrown away, out to a file and in again. */
class JobLibraryTest extends RunningServer {
    private final Client asha = new Client();

    private static Map<String, String> newJob(String name, String cidr, String gateway) {
        return Map.of("name", name, "units", "m", "cidr", cidr, "gateway", gateway);
    }

    private long make(String name) {
        Answer made =
                asha.signIn()
                        .send("POST", "/api/jobs", newJob(name, "10.10.0.0/23", "10.10.1.254"));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("id").asLong();
    }

    private JsonNode listed(long job) {
        for (JsonNode j : asha.get("/api/jobs").json()) {
            if (j.get("id").asLong() == job) {
                return j;
            }
        }
        return null;
    }

    @Test
    void anEmptyJobIsRenamedCopiedArchivedDeletedAndFetchedBack() {
        long job = make("Chapel");
        JsonNode view = asha.get("/api/jobs/" + job).json();
        assertThat(view.get("devices")).isEmpty();
        assertThat(view.get("findings")).isEmpty();
        assertThat(view.get("subnet").get("laptopHome").asString()).isEqualTo("10.10.0.81");
        long site = view.get("site").get("id").asLong();
        asha.send(
                "POST",
                "/api/jobs/" + job + "/changes",
                edit("site", site, "name", "Chapel", "North chapel"));
        assertThat(listed(job).get("name").asString()).isEqualTo("North chapel");
        JsonNode copy = asha.send("POST", "/api/jobs/" + job + "/duplicate", Map.of()).json();
        assertThat(copy.get("name").asString()).isEqualTo("North chapel (copy)");
        asha.send("PUT", "/api/jobs/" + job + "/archived", Map.of("archived", true));
        assertThat(listed(job).get("archived").asBoolean()).isTrue();
        asha.sendText("DELETE", "/api/jobs/" + job, "");
        assertThat(listed(job).get("deleted").asBoolean()).isTrue();
        assertThat(asha.get("/api/jobs/" + job).code()).isEqualTo("not-found");
        assertThat(asha.send("POST", "/api/jobs/" + job + "/undo", Map.of()).code())
                .isEqualTo("not-found");
        asha.send("POST", "/api/jobs/" + job + "/restore", Map.of());
        assertThat(
                        asha.send("POST", "/api/jobs/" + job + "/undo", Map.of())
                                .json()
                                .get("name")
                                .asString())
                .isEqualTo("Chapel");
    }

    @ParameterizedTest
    @CsvSource({
        "'', 10.10.0.0/23, 10.10.1.254, name",
        "<b>x</b>, 10.10.0.0/23, 10.10.1.254, name",
        "Hall, 10.10.0.0/31, 10.10.1.254, cidr",
        "Hall, 10.10.0.0/23, 10.10.1, gateway"
    })
    void aJobThatCannotBeIsRefusedAtItsField(
            String name, String cidr, String gateway, String field) {
        Answer answer = asha.signIn().send("POST", "/api/jobs", newJob(name, cidr, gateway));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("field").asString()).isEqualTo(field);
    }

    @Test
    void outToAFileInAndOutAgainGivesTheSameBytes() {
        asha.signIn();
        long job = asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        long l4 = 10;
        asha.send(
                "POST",
                "/api/jobs/" + job + "/changes",
                edit("device", l4, "address", "10.44.8.33", "10.44.8.24"));
        asha.send("POST", "/api/jobs/" + job + "/undo", Map.of());
        JsonNode finding = asha.get("/api/jobs/" + job).json().get("findings").get(1);
        Answer waived =
                asha.send(
                        "POST",
                        "/api/jobs/" + job + "/waivers",
                        Map.of(
                                "finding",
                                finding.get("key").asString(),
                                "reason",
                                "the till moves out"));
        assertThat(waived.status()).as(waived.text()).isEqualTo(200);
        String out = asha.get("/api/jobs/" + job + "/file").text();
        assertThat(out)
                .contains("the till moves out", "\"kind\" : \"undo\"")
                .doesNotContain("Job made");
        Answer in = asha.sendText("POST", "/api/jobs/file", out);
        assertThat(in.status()).as(in.text()).isEqualTo(201);
        long again = in.json().get("id").asLong();
        assertThat(asha.get("/api/jobs/" + again + "/file").text()).isEqualTo(out);
        JsonNode lines = asha.get("/api/jobs/" + again + "/log").json().get("entries");
        assertThat(lines.get(0).get("fromFile").asBoolean()).isTrue();
    }

    @Test
    void hostileFilesLeaveNothingBehind() {
        asha.signIn();
        String good = asha.get("/api/jobs/" + make("File") + "/file").text();
        List<String> hostile =
                new ArrayList<>(
                        List.of(
                                "",
                                "{}",
                                "[1]",
                                "nonsense",
                                good.substring(0, good.length() / 2),
                                good.replace("\"id\" : 2", "\"id\" : 1"),
                                good.replace(
                                        "\"devices\" : [ ]", "\"devices\" : " + "[".repeat(5000)),
                                good.replace(
                                        "\"lines\" : [ ]",
                                        "\"lines\" : [{\"id\":9,\"number\":1,\"camera\":8,\"controlId\":1}]"),
                                good.replace("\"name\" : \"File\"", "\"name\" : \"<script>\"")));
        int before = asha.get("/api/jobs").json().size();
        for (String file : hostile) {
            Answer answer = asha.sendText("POST", "/api/jobs/file", file);
            assertThat(answer.status()).as(file).isEqualTo(400);
            assertThat(answer.json().get("detail").asString()).doesNotContain("Exception");
        }
        Answer large =
                asha.sendText(
                        "POST",
                        "/api/jobs/file",
                        "{\"format\":\"" + "x".repeat(50_000_000) + "\"}");
        assertThat(large.code()).isEqualTo("body-too-large");
        assertThat(asha.get("/api/jobs").json()).hasSize(before);
    }
}
