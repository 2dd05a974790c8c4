package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.server.secrets.Passphrase;
import java.nio.charset.StandardCharsets;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Secrets: encrypted where they lie, shown on request with a line in the log, never let out. */
class SecretsTest extends RunningServer {
    private static final String TYPED = "correct-horse-77";
    private Client asha;
    private String job;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        JsonNode view = asha.send("POST", "/api/jobs/demo", Map.of()).json();
        job = "/api/jobs/" + view.get("id").asLong();
    }

    private JsonNode secret(String device) {
        return all(asha.get(job + "/secrets").json().get("secrets")).stream()
                .filter(s -> s.get("device").asString().equals(device))
                .findFirst()
                .orElseThrow();
    }

    private Answer type(String device, String value) {
        JsonNode row = secret(device);
        return asha.send(
                "POST",
                job + "/secrets",
                Map.of(
                        "id", row.get("id"),
                        "deviceId", row.get("deviceId"),
                        "use", "password",
                        "name", row.get("name").asString(),
                        "value", value));
    }

    private String shown(String device) {
        return asha.send(
                        "POST",
                        job + "/secrets/" + secret(device).get("id").asLong() + "/show",
                        Map.of())
                .json()
                .get("value")
                .asString();
    }

    private List<String> codes() {
        List<String> codes = new ArrayList<>();
        all(asha.get(job).json().get("findings"))
                .forEach(
                        f -> {
                            if (f.get("code").asString().startsWith("SEC-")) {
                                codes.add(f.get("code").asString());
                            }
                        });
        return codes;
    }

    /** Everything stored, as somebody with a copy of the database reads it. */
    private static String database() throws SQLException {
        StringBuilder all = new StringBuilder();
        try (var connection =
                        DriverManager.getConnection(databaseUrl(), "jerboa", databasePassword());
                var statement = connection.createStatement();
                var rows =
                        statement.executeQuery(
                                "select texts::text from item union all select changes::text from command union all select text from log_entry")) {
            while (rows.next()) {
                all.append(rows.getString(1)).append('\n');
            }
        }
        return all.toString();
    }

    @Test
    void whatIsTypedLiesEncryptedAndIsShownWithALineInTheLog() throws SQLException {
        assertThat(type("L1", TYPED).status()).isEqualTo(200);
        assertThat(database()).contains("\"secret\"").doesNotContain(TYPED);
        assertThat(asha.get(job).text()).doesNotContain(TYPED);
        assertThat(asha.get(job + "/secrets").text()).doesNotContain(TYPED);
        assertThat(asha.get(job + "/file").text()).doesNotContain(TYPED, "sealed");
        assertThat(shown("L1")).isEqualTo(TYPED);
        assertThat(asha.get(job + "/log").text()).contains("Shown: password of L1");
        asha.send("POST", job + "/undo", Map.of());
        assertThat(secret("L1").get("id").asLong()).isZero();
        asha.send("POST", job + "/redo", Map.of());
        assertThat(shown("L1")).isEqualTo(TYPED);
    }

    @Test
    void madeOnesDifferFitTheirDeviceAndClearTheFinding() {
        assertThat(codes()).containsExactly("SEC-DEFAULT");
        List<Long> devices =
                all(asha.get(job + "/secrets").json().get("secrets")).stream()
                        .map(s -> s.get("deviceId").asLong())
                        .filter(d -> d > 0)
                        .toList();
        asha.send("POST", job + "/secrets/make", Map.of("deviceIds", devices));
        assertThat(codes()).isEmpty();
        assertThat(shown("IP stick")).matches("[2-9]{8}");
        assertThat(shown("L1")).matches("[a-zA-Z2-9]{14}").isNotEqualTo(shown("L2"));
        type("L2", shown("L1"));
        assertThat(codes()).containsExactly("SEC-REUSE");
        type("L2", "admin");
        assertThat(codes()).containsExactly("SEC-DEFAULT");
    }

    @Test
    void onlyWhoPlansSeesThem() {
        type("L1", TYPED);
        long id = secret("L1").get("id").asLong();
        Client viewer = member(asha, job, "viewer-" + System.nanoTime(), "viewer");
        assertThat(viewer.send("POST", job + "/secrets/" + id + "/show", Map.of()).code())
                .isEqualTo("not-allowed");
        assertThat(viewer.get(job + "/secrets").text()).contains("\"typed\"").doesNotContain(TYPED);
        Answer smuggled =
                asha.send("POST", job + "/changes", edit("secret", id, "sealed", "x", "y"));
        assertThat(smuggled.code()).isEqualTo("not-yours-to-write");
    }

    @ParameterizedTest
    @CsvSource({"IP stick, 123456789, 'at most 8'", "L1, '', '1 to 200'"})
    void whatTheDeviceCannotTakeIsRefused(String device, String value, String says) {
        assertThat(type(device, value).text()).contains(says);
        assertThat(secret(device).get("id").asLong()).isZero();
    }

    @Test
    void aFileHoldsThemOnlyUnderAPassphrase() {
        type("L1", TYPED);
        Answer file = asha.send("POST", job + "/file", Map.of("passphrase", "open sesame"));
        assertThat(file.text()).contains("sealedSecrets").doesNotContain(TYPED);
        assertThat(asha.send("POST", job + "/file", Map.of("passphrase", "short")).code())
                .isEqualTo("bad-passphrase");
        byte[] bytes = file.text().getBytes(StandardCharsets.UTF_8);
        Answer wrong = asha.sendBytes("/api/jobs/file", bytes, "open barley");
        assertThat(wrong.code()).isEqualTo("wrong-passphrase");
        Answer without = asha.sendBytes("/api/jobs/file", bytes, "");
        job = "/api/jobs/" + without.json().get("id").asLong();
        assertThat(secret("L1").get("id").asLong()).isZero();
        Answer with = asha.sendBytes("/api/jobs/file", bytes, "open%20sesame");
        job = "/api/jobs/" + with.json().get("id").asLong();
        assertThat(shown("L1")).isEqualTo(TYPED);
        assertThat(asha.get(job + "/log").text()).doesNotContain("open sesame");
        JsonNode copy = asha.send("POST", job + "/duplicate", Map.of()).json();
        job = "/api/jobs/" + copy.get("id").asLong();
        assertThat(secret("L1").get("id").asLong()).isZero();
    }

    /** Opened with the right passphrase, what is inside is still trusted no more than the rest. */
    @Test
    void secretsOfADeviceThatIsNotThereAreRefusedWithTheirFile() {
        String sealed =
                Passphrase.seal(
                        "[{\"device\":99999,\"use\":\"password\",\"name\":\"a\",\"value\":\"b\",\"origin\":\"typed\"}]",
                        "open sesame",
                        2000);
        String file =
                asha.get(job + "/file")
                        .text()
                        .replaceFirst(
                                "\\{",
                                "{\"sealedSecrets\":\"" + sealed.replace("$", "\\$") + "\",");
        int before = asha.get("/api/jobs").json().size();
        Answer answer =
                asha.sendBytes(
                        "/api/jobs/file", file.getBytes(StandardCharsets.UTF_8), "open%20sesame");
        assertThat(answer.code()).isEqualTo("bad-file");
        assertThat(asha.get("/api/jobs").json().size()).isEqualTo(before);
    }

    @Test
    void aKeyOfTheHouseGoesWhenItIsForgotten() {
        Map<String, Object> key =
                Map.of(
                        "id",
                        NONE,
                        "deviceId",
                        NONE,
                        "use",
                        "stream-key",
                        "name",
                        "league",
                        "value",
                        "abc-1");
        asha.send("POST", job + "/secrets", key);
        JsonNode row = secret("");
        assertThat(row.get("use").asString()).isEqualTo("stream-key");
        asha.sendText("DELETE", job + "/secrets/" + row.get("id").asLong(), "");
        assertThat(all(asha.get(job + "/secrets").json().get("secrets")))
                .noneMatch(s -> s.get("use").asString().equals("stream-key"));
    }
}
