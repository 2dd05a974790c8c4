package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Bad input is refused in plain words, and nothing of our insides leaves. */
class RefusalsTest extends RunningServer {
    private static void clear(Answer answer, int status, String code) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        assertThat(answer.code()).isEqualTo(code);
        assertThat(answer.raw().headers().firstValue("Content-Type").orElse(""))
                .startsWith("application/problem+json");
        assertThat(answer.text())
                .doesNotContain("Exception", "\\tat ", "app.jerboa", "java.", "tools.jackson");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"adds\":[|malformed-json",
                "[]|bad-value",
                "{\"adds\":[],\"edits\":1,\"removes\":[]}|bad-value",
                "{}|bad-value",
                "{\"adds\":[],\"edits\":null,\"removes\":[]}|bad-value",
                "{\"adds\":[],\"edits\":[],\"removes\":[],\"x\":1}|unknown-field",
                "{\"adds\":[],\"edits\":[{\"item\":\"device\",\"id\":\"7\",\"field\":\"address\",\"before\":\"\",\"after\":\"\"}],\"removes\":[]}|bad-value",
                "{\"adds\":[],\"edits\":[{\"item\":\"device\",\"id\":7,\"field\":\"nose\",\"before\":\"\",\"after\":\"\"}],\"removes\":[]}|bad-value",
                "{\"adds\":[],\"edits\":[{\"item\":\"nose\",\"id\":7,\"field\":\"address\",\"before\":\"\",\"after\":\"\"}],\"removes\":[]}|bad-value",
                "{\"adds\":[],\"edits\":[{\"item\":\"device\",\"id\":7,\"field\":\"address\",\"before\":7,\"after\":\"\"}],\"removes\":[]}|bad-value",
                "{\"adds\":[{\"item\":\"device\",\"id\":-1,\"values\":{\"nose\":\"x\"}}],\"edits\":[],\"removes\":[]}|bad-value",
                "{\"adds\":[{\"item\":\"device\",\"id\":-1,\"values\":{\"name\":null}}],\"edits\":[],\"removes\":[]}|bad-value",
                "{\"adds\":[{\"item\":\"waiver\",\"id\":-1,\"values\":{\"person\":\"Mei Farrow\"}}],\"edits\":[],\"removes\":[]}|not-yours-to-write",
                "{\"adds\":[],\"edits\":[{\"item\":\"device\",\"id\":7,\"field\":\"found\",\"before\":\"\",\"after\":\"10.44.8.21\"}],\"removes\":[]}|bad-value",
                "{\"adds\":[],\"edits\":[],\"removes\":[]}|nothing-to-change",
                "nonsense|malformed-json",
                "''|malformed-json"
            })
    void bodiesThatAreNotWhatTheySay(String body, String code) {
        Client asha = new Client().signIn();
        long job = asha.get("/api/jobs").json().get(0).get("id").asLong();
        clear(asha.sendText("POST", "/api/jobs/" + job + "/changes", body), 400, code);
    }

    @Test
    void aTenMegabyteBody() {
        Client asha = new Client().signIn();
        String big = "{\"changes\":\"" + "x".repeat(10_000_000) + "\"}";
        clear(asha.sendText("POST", "/api/jobs/1/changes", big), 413, "body-too-large");
        clear(new Client().sendText("POST", "/api/sums/subnet", big), 413, "body-too-large");
        assertThat(asha.get("/api/jobs").status()).isEqualTo(200);
    }

    @Test
    void unknownIds() {
        Client asha = new Client().signIn();
        for (String path :
                List.of(
                        "/api/jobs/999999",
                        "/api/jobs/nose",
                        "/api/jobs/-1",
                        "/api/jobs/99999999999999999999",
                        "/api/jobs/999999/desk",
                        "/api/jobs/999999/addresses.csv",
                        "/api/jobs/999999/bring-up",
                        "/api/jobs/999999/rig")) {
            clear(asha.get(path), 404, "not-found");
        }
        long job = asha.get("/api/jobs").json().get(0).get("id").asLong();
        clear(
                asha.send(
                        "POST",
                        "/api/jobs/" + job + "/changes",
                        edit("device", 999_999, "address", "", "")),
                404,
                "not-found");
        clear(asha.get("/api/nose"), 404, "not-found");
    }

    @Test
    void aWriteWithoutTheTokenOfTheSession() {
        Client asha = new Client().signIn();
        asha.sendToken = false;
        clear(asha.send("POST", "/api/jobs/demo", Map.of()), 403, "no-csrf-token");
    }

    /** Walks the contract, so that a new route cannot be forgotten. */
    @Test
    void everyRouteNeedsASignInButTheSums() {
        Client asha = new Client().signIn();
        Client stranger = new Client();
        stranger.get("/auth/session");
        JsonNode paths = asha.get("/api/openapi").json().get("paths");
        int asked = 0;
        for (var path : paths.properties()) {
            if (!path.getKey().startsWith("/api/") || path.getKey().startsWith("/api/sums/")) {
                continue;
            }
            String url = path.getKey().replaceAll("\\{\\w+}", "1");
            for (String method : path.getValue().propertyNames()) {
                clear(
                        stranger.sendText(method.toUpperCase(Locale.ROOT), url, "{}"),
                        401,
                        "sign-in-first");
                asked++;
            }
        }
        assertThat(asked).isGreaterThan(12);
        assertThat(stranger.get("/actuator/health").json().get("status").asString())
                .isEqualTo("UP");
        assertThat(
                        stranger.send(
                                        "POST",
                                        "/auth/session",
                                        Map.of("login", "asha", "password", "wrong"))
                                .code())
                .isEqualTo("wrong-sign-in");
        clear(
                stranger.send(
                        "POST",
                        "/auth/first-account",
                        Map.of("login", "x", "name", "X", "password", "long enough")),
                409,
                "account-exists");
    }

    /** Keys, types and ranges of the open calculators; the field at fault is named. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "subnet|{\"cidr\":\"10.44.8.0/31\"}|cidr",
                "subnet|{\"cidr\":\"010.44.8.0/24\"}|cidr",
                "subnet|{\"cidr\":24}|cidr",
                "subnet|{\"cidr\":\"10.44.8.0/24\",\"nose\":1}|nose",
                "subnet|{}|cidr",
                "subnet|{\"cidr\":null}|cidr",
                "poe-run|{\"watts\":25.5,\"metres\":100,\"gauge\":25,\"pairs\":2,\"volts\":50}|gauge",
                "poe-run|{\"watts\":25.5,\"metres\":100,\"gauge\":24,\"pairs\":3,\"volts\":50}|pairs",
                "poe-run|{\"metres\":100,\"gauge\":24,\"pairs\":2,\"volts\":50}|watts",
                "dc-run|{\"supplyVolts\":24,\"amps\":1,\"watts\":2,\"metres\":9,\"gauge\":24,\"minDeviceVolts\":20}|watts",
                "dc-run|{\"supplyVolts\":24,\"metres\":9,\"gauge\":24,\"minDeviceVolts\":20}|watts",
                "dc-run|{\"supplyVolts\":0,\"amps\":1,\"metres\":9,\"gauge\":24,\"minDeviceVolts\":20}|supplyVolts",
                "serial-timing|{\"baud\":0}|baud",
                "serial-timing|{\"baud\":9600,\"cameras\":0}|cameras",
                "coax|{\"cable\":\"RG11\",\"format\":\"1080p50\"}|cable",
                "coax|{\"cable\":\"RG6\",\"format\":\"1080\"}|format",
                "stream|{\"width\":1920,\"height\":1080,\"fps\":50,\"codec\":\"H266\",\"uplinkMbps\":20}|codec",
                "stream|{\"width\":1920,\"height\":1080,\"fps\":50,\"codec\":\"H264\"}|uplinkMbps",
                "view|{\"sensorWidthMm\":6,\"focalMm\":0,\"panDegPerSecond\":10}|focalMm",
                "travel|{\"degrees\":-1,\"topDegPerSecond\":60,\"accelDegPerSecond2\":120}|degrees",
                "late|{\"degPerSecond\":30,\"oneWayMs\":-1}|oneWayMs",
                "balance|{\"parts\":[],\"travelMm\":1}|parts",
                "balance|{\"parts\":[{\"grams\":0,\"offsetMm\":1}],\"travelMm\":1}|grams",
                "balance|{\"parts\":[{\"grams\":1,\"offsetMm\":1}],\"travelMm\":-1}|travelMm",
                "balance|{\"parts\":[{\"grams\":1,\"offsetMm\":1,\"nose\":1}],\"travelMm\":1}|parts.nose",
                "balance|{\"travelMm\":1}|parts",
                "stick|{\"x\":2,\"deadZone\":0.1,\"k\":3,\"limit\":1,\"steps\":24}|x",
                "stick|{\"x\":1,\"deadZone\":1,\"k\":3,\"limit\":1,\"steps\":24}|deadZone",
                "stick|{\"x\":1,\"deadZone\":0.1,\"k\":-1,\"limit\":1,\"steps\":24}|k",
                "stick|{\"x\":1,\"deadZone\":0.1,\"k\":3,\"limit\":0,\"steps\":24}|limit",
                "stick|{\"x\":1,\"deadZone\":0.1,\"k\":3,\"limit\":1,\"steps\":0}|steps",
                "stick|{\"x\":1,\"deadZone\":0.1,\"k\":3,\"limit\":1,\"steps\":2.5}|steps",
                "stick|{\"x\":\"1\",\"deadZone\":0.1,\"k\":3,\"limit\":1,\"steps\":24}|x",
                "stick|{\"deadZone\":0.1,\"k\":3,\"limit\":1,\"steps\":24}|x"
            })
    void sumsRefuse(String name, String body, String field) {
        Answer answer = new Client().sendText("POST", "/api/sums/" + name, body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.json().get("field").asString()).isEqualTo(field);
    }

    @Test
    void sumsAnswerAnybody() {
        Client stranger = new Client();
        JsonNode subnet =
                stranger.sendText("POST", "/api/sums/subnet", "{\"cidr\":\"10.44.9.7/23\"}").json();
        assertThat(subnet.toString())
                .isEqualTo(
                        "{\"network\":\"10.44.8.0\",\"broadcast\":\"10.44.9.255\","
                                + "\"mask\":\"255.255.254.0\",\"firstHost\":\"10.44.8.1\",\"lastHost\":\"10.44.9.254\",\"hosts\":510}");
        JsonNode stick =
                stranger.sendText(
                                "POST",
                                "/api/sums/stick",
                                "{\"x\":-0.55,\"deadZone\":0.1,\"k\":0,\"limit\":0.5,\"steps\":24}")
                        .json();
        assertThat(stick.get("y").asDouble()).isCloseTo(-0.25, within(1e-12));
        assertThat(stick.get("step").asInt()).isEqualTo(-6);
    }
}
