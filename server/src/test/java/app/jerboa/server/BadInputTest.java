package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.server.platform.Harmless;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What got through once, each refused at its place; nothing stored is lost by it. */
class BadInputTest extends RunningServer {
    private static String demo(Client client) {
        return "/api/jobs/"
                + client.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
    }

    @ParameterizedTest
    @ValueSource(longs = {0, 1L << 62, Long.MAX_VALUE, 7})
    void numbersOfNewItemsAreGivenByTheServer(long id) {
        Client asha = new Client().signIn();
        String job = demo(asha);
        Map<String, Object> add =
                Map.of(
                        "item",
                        "range",
                        "id",
                        id,
                        "values",
                        Map.of("first", "10.44.8.60", "last", "10.44.8.61"));
        Map<String, Object> changes =
                Map.of("adds", List.of(add), "edits", List.of(), "removes", List.of());
        Answer refused = asha.send("POST", job + "/changes", changes);
        assertThat(List.of(refused.status(), refused.code()))
                .containsExactly(400, "not-yours-to-write");
        assertThat(
                        asha.send("POST", job + "/kit", Map.of("profile", "laptop", "count", 1))
                                .status())
                .isLessThan(500);
    }

    @Test
    void aFileWithNumbersNobodyWouldGiveIsCountedAnew() {
        Client asha = new Client().signIn();
        String file = asha.get(demo(asha) + "/file").text();
        String wild =
                file.replaceAll("\"id\" : (\\d+)", "\"id\" : 46116860184273$1")
                        .replaceAll(
                                "\"(camera|controller|panel|switcher|from|to|fitted|line|device|list)\" : (\\d+)",
                                "\"$1\" : 46116860184273$2")
                        .replaceAll("\"also\" : (\\d+)", "\"also\" : 46116860184273$1");
        Answer made = asha.sendBytes("/api/jobs/file", wild.getBytes(StandardCharsets.UTF_8));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        String job = "/api/jobs/" + made.json().get("id").asLong();
        assertThat(
                        all(made.json().get("devices")).stream()
                                .mapToLong(d -> d.get("id").asLong())
                                .max()
                                .orElse(0))
                .isLessThan(10_000);
        assertThat(made.json().get("findings"))
                .hasSameSizeAs(asha.get(demo(asha)).json().get("findings"));
        long line = made.json().get("lines").get(0).get("id").asLong();
        assertThat(
                        asha.send("POST", job + "/changes", edit("line", line, "tally", "", "3"))
                                .status())
                .isEqualTo(200);
    }

    @Test
    void onlyUtf8IsRead() {
        Client asha = new Client().signIn();
        String file = asha.get(demo(asha) + "/file").text();
        Answer wide = asha.sendBytes("/api/jobs/file", file.getBytes(StandardCharsets.UTF_16LE));
        assertThat(List.of(wide.status(), wide.code())).containsExactly(400, "bad-file");
        assertThat(wide.text()).contains("UTF-8");
        String marked = "\uFEFF" + file;
        assertThat(
                        asha.sendBytes("/api/jobs/file", marked.getBytes(StandardCharsets.UTF_8))
                                .status())
                .isEqualTo(201);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-14T09:30:00Z, 201",
        "9999-12-31T23:59:59.999999Z, 201",
        "9999-12-31T23:59:59.999999999Z, 400",
        "+10000-01-01T00:00:00Z, 400",
        "-0001-01-01T00:00:00Z, 400"
    })
    void timesOfALogbook(String at, int status) {
        Client asha = new Client().signIn();
        String line =
                "\"log\" : [ {\"at\":\""
                        + at
                        + "\",\"person\":\"Mei Farrow\",\"kind\":\"note\",\"text\":\"x\",\"devices\":[]} ]";
        String file =
                asha.get(demo(asha) + "/file").text().replaceAll("(?s)\"log\" : \\[.*]", line);
        Answer made = asha.sendBytes("/api/jobs/file", file.getBytes(StandardCharsets.UTF_8));
        assertThat(made.status()).as(made.text()).isEqualTo(status);
        if (status == 201) {
            String again = asha.get("/api/jobs/" + made.json().get("id").asLong() + "/file").text();
            assertThat(
                            asha.sendBytes("/api/jobs/file", again.getBytes(StandardCharsets.UTF_8))
                                    .status())
                    .isEqualTo(201);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"1e20", "1e308", "-1e308", "100000000000000000000"})
    void wholeNumbersOfProfiles(String number) {
        Client asha = new Client().signIn();
        String job = demo(asha);
        String facts =
                asha.get(job + "/profiles/ceiling-ptz/file")
                        .text()
                        .replace("\"id\" : \"ceiling-ptz\"", "\"id\" : \"own-ptz\"");
        Matcher numbers = Pattern.compile(" : ([0-9]+)(?=[,\\s}])").matcher(facts);
        int tried = 0;
        while (numbers.find()) {
            String large =
                    facts.substring(0, numbers.start(1)) + number + facts.substring(numbers.end(1));
            Answer refused = asha.sendText("POST", job + "/profiles", large);
            assertThat(refused.status())
                    .as(
                            "%s: %s",
                            facts.substring(numbers.start() - 20, numbers.end()), refused.text())
                    .isEqualTo(400);
            tried++;
        }
        assertThat(tried).isGreaterThan(10);
        assertThat(asha.sendText("POST", job + "/profiles", facts).status()).isEqualTo(200);
    }

    @Test
    void aNoteIsAboutADeviceThatIsThere() {
        Client asha = new Client().signIn();
        String job = demo(asha);
        assertThat(asha.sendNote(job + "/log", "hello", 999_999, new byte[0]).status())
                .isEqualTo(404);
        assertThat(asha.sendNote(job + "/log", "hello", 7, new byte[0]).status()).isEqualTo(201);
    }

    @ParameterizedTest
    @ValueSource(strings = {"a\u202Eb", "\u2066x", "x\u200F"})
    void namesDoNotTurnTheDirectionOfWriting(String name) {
        Client asha = new Client().signIn();
        Answer refused =
                asha.send("POST", demo(asha) + "/changes", edit("device", 7, "name", "L1", name));
        assertThat(List.of(refused.status(), refused.code())).containsExactly(400, "text-rejected");
    }

    @ParameterizedTest
    @CsvSource({"72, x, 200", "73, x, 400", "36, ö, 200", "37, ö, 400", "18, 撮, 200", "25, 撮, 400"})
    void passwordsAreCountedInOctets(int count, String letter, int status) {
        Client asha = new Client().signIn();
        String password = letter.repeat(count);
        Answer changed =
                asha.send("PUT", "/auth/password", Map.of("old", PASSWORD, "fresh", password));
        assertThat(changed.status()).as(changed.text()).isEqualTo(status);
        if (status == 200) {
            asha.send("PUT", "/auth/password", Map.of("old", password, "fresh", PASSWORD));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "|calc", "\t=1", " =1", "\uFEFF=1", "\u200E+1", "@x", "-1"})
    void aSheetRunsNothing(String cell) {
        assertThat(Harmless.cell(cell)).isEqualTo("'" + cell);
    }

    @ParameterizedTest
    @ValueSource(strings = {"L1", "", "1 = 1", "10.44.8.1", "撮影機"})
    void plainCellsStayAsTheyAre(String cell) {
        assertThat(Harmless.cell(cell)).isEqualTo(cell);
    }
}
