package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What is said before heads move, and how each person likes them to move. */
class DeskWishesTest extends RunningServer {
    private static final Map<String, Object> FEEL =
            Map.of(
                    "deadZone",
                    0.1,
                    "k",
                    0,
                    "rampSeconds",
                    1,
                    "pan",
                    0.5,
                    "tilt",
                    1,
                    "zoom",
                    1,
                    "focus",
                    0.3,
                    "recall",
                    0.5,
                    "crossingSeconds",
                    5);

    @Autowired private JdbcTemplate database;
    private Client asha;
    private Client driver;
    private long number;
    private String job;

    @BeforeEach
    void demo() {
        asha = new Client().signIn();
        number = asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        job = "/api/jobs/" + number;
    }

    private JsonNode camera() {
        return asha.get(job + "/desk").json().get("cameras").get(0);
    }

    private void say(boolean clear) {
        long id = camera().get("id").asLong();
        assertThat(
                        asha.send(
                                        "POST",
                                        job + "/desk/clear",
                                        Map.of("devices", List.of(id), "clear", clear))
                                .status())
                .isEqualTo(200);
    }

    private void chooseLive() {
        asha.send("PUT", job + "/world", Map.of("world", "live", "confirmed", true));
    }

    private void halfAnHourLater() {
        database.update(
                "update desk_clear set at = at - interval '31 minutes' where job_id = ?", number);
    }

    /** It is said for this world and for this work: it ends with either. */
    @ParameterizedTest
    @CsvSource({"taken back", "half an hour", "another world"})
    void clearEnds(String how) {
        assertThat(camera().get("clear").asBoolean()).isFalse();
        say(true);
        assertThat(camera().get("clear").asBoolean()).isTrue();
        switch (how) {
            case "taken back" -> say(false);
            case "half an hour" -> halfAnHourLater();
            default -> chooseLive();
        }
        assertThat(camera().get("clear").asBoolean()).isFalse();
        assertThat(asha.get(job + "/log").text()).contains("Clear was said at the place of");
    }

    @Test
    void onAirIsSaidByHandAndSeenByAll() {
        String air = job + "/desk/" + camera().get("id").asLong() + "/air";
        for (boolean on : List.of(true, true, false)) {
            asha.send("PUT", air, Map.of("onAir", on));
            assertThat(camera().get("onAir").asBoolean()).isEqualTo(on);
        }
    }

    @Test
    void whichWayAStickTurnsIsSeenByAll() {
        String turned = job + "/desk/" + camera().get("id").asLong() + "/turned";
        asha.send("PUT", turned, Map.of("pan", true, "tilt", false));
        assertThat(camera().get("turned").toString()).isEqualTo("{\"pan\":true,\"tilt\":false}");
        assertThat(asha.get(job + "/log").text()).contains("pan turned round at desks");
        asha.send("PUT", turned, Map.of("pan", true, "tilt", false));
        asha.send("POST", job + "/undo", Map.of());
        assertThat(camera().get("turned").get("pan").asBoolean()).as("taken back").isFalse();
    }

    /** Whoever drives says it and takes it back, and changes nothing else of the device by that. */
    @Test
    void whoeverDrivesSteersAndPlansNothing() {
        Map<String, Object> edit =
                Map.of(
                        "item", "device",
                        "id", camera().get("id").asLong(),
                        "field", "softUp",
                        "before", "",
                        "after", "1250");
        driver = member(asha, job, "driver-" + System.nanoTime(), "operator");
        assertThat(drives(edit).status()).isEqualTo(200);
        assertThat(camera().get("soft").get("tiltUp").asDouble()).isEqualTo(12.5);
        assertThat(asha.get(job + "/log").text()).contains("soft limit up").contains("12.5°");
        Map<String, Object> name = new HashMap<>(edit);
        name.putAll(Map.of("field", "name", "before", camera().get("name").asString()));
        assertThat(drives(name).status()).isEqualTo(403);
        Map<String, Object> below = new HashMap<>(edit);
        below.putAll(Map.of("field", "softDown", "after", "1250"));
        Answer crossed = drives(below);
        assertThat(crossed.status()).isBetween(400, 422);
        assertThat(crossed.text()).contains("above the lower limit");
    }

    private Answer drives(Map<String, Object> edit) {
        return driver.send(
                "POST",
                job + "/changes",
                Map.of("adds", List.of(), "edits", List.of(edit), "removes", List.of()));
    }

    private static Map<String, Object> limits(Object left, Object right, Object down, Object up) {
        Map<String, Object> all = limits(Map.of());
        all.put("panLeft", left);
        all.put("panRight", right);
        all.put("tiltDown", down);
        all.put("tiltUp", up);
        return all;
    }

    /** All sides are said, with null for no limit. */
    private static Map<String, Object> limits(Map<String, Double> some) {
        Map<String, Object> all = new HashMap<>();
        for (String side :
                "panLeft panRight tiltDown tiltUp rollLeft rollRight railFrom railTo"
                        .split(" ", -1)) {
            all.put(side, some.get(side));
        }
        return all;
    }

    @Test
    void softLimitsAreSetSeenByAllAndTakenAway() {
        String limits = job + "/desk/" + camera().get("id").asLong() + "/limits";
        Answer set = asha.send("PUT", limits, limits(-30.5, 40, null, null));
        assertThat(set.status()).as(set.text()).isEqualTo(200);
        assertThat(camera().get("soft").toString())
                .startsWith(
                        "{\"panLeft\":-30.5,\"panRight\":40.0,\"tiltDown\":null,\"tiltUp\":null,");
        assertThat(asha.get(job + "/log").text())
                .contains("soft limit left")
                .contains("-30.5°")
                .contains("soft limit right");
        assertThat(asha.get(job + "/file").text()).contains("\"softLeft\" : -3050");
        Answer refused = asha.send("PUT", limits, limits(null, null, 10, 10));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().get("field").asString()).isEqualTo("tiltUp");
        asha.send("PUT", limits, limits(null, null, null, null));
        assertThat(camera().get("soft").get("panLeft").isNull()).isTrue();
    }

    /** A change of the first camera. */
    private Answer edit(String field, String before, String after) {
        Map<String, Object> edit =
                Map.of(
                        "item", "device",
                        "id", camera().get("id").asLong(),
                        "field", field,
                        "before", before,
                        "after", after);
        return asha.send(
                "POST",
                job + "/changes",
                Map.of("adds", List.of(), "edits", List.of(edit), "removes", List.of()));
    }

    /** The limits of a camera whose head is another one from now on. */
    private String limitsOf(String profile) {
        Answer changed = edit("profile", "ceiling-ptz", profile);
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        return job + "/desk/" + camera().get("id").asLong() + "/limits";
    }

    /** Degrees of roll, metres of a rail. */
    @ParameterizedTest
    @CsvSource({
        "cinema-head, rollLeft, -12.5, soft limit of roll left, -12.5°, softRollLeft, -1250",
        "motion-controller, railTo, 2.25, soft limit at the end of the rail, 2.25 m, softRailTo, 225"
    })
    void rollAndRailHaveSoftLimitsToo(
            String profile,
            String side,
            double at,
            String says,
            String shown,
            String field,
            int kept) {
        Answer set = asha.send("PUT", limitsOf(profile), limits(Map.of(side, at)));
        assertThat(set.status()).as(set.text()).isEqualTo(200);
        JsonNode soft = camera().get("soft");
        assertThat(soft.get(side).asDouble()).isEqualTo(at);
        assertThat(soft.get("rollRight").isNull() && soft.get("railFrom").isNull()).isTrue();
        assertThat(asha.get(job + "/log").text()).contains(says).contains(shown);
        assertThat(asha.get(job + "/file").text()).contains("\"" + field + "\" : " + kept);
    }

    @ParameterizedTest
    @CsvSource({
        "cinema-head, rollLeft, 8, rollRight, 8, rollRight",
        "motion-controller, railFrom, 2.251, railTo, 2.2509, railTo",
        "cinema-head, rollLeft, -361, rollRight, 8, rollLeft",
        "motion-controller, railFrom, 0, railTo, 361, railTo",
        "cinema-head, rollLeft, -8, railTo, 2, railTo",
        "motion-controller, rollRight, 8, railTo, 2, rollRight"
    })
    void limitsThatLeaveNothingBetweenThemOrLieNowhereAreRefused(
            String profile, String one, double from, String other, double to, String at) {
        Map<String, Double> wish = Map.of(one, from, other, to);
        Answer refused = asha.send("PUT", limitsOf(profile), limits(wish));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().get("field").asString()).isEqualTo(at);
        assertThat(asha.get(job + "/log").text()).doesNotContain("soft limit");
    }

    /** A wish is refused, what was so before comes back: the head was another one then. */
    @Test
    void aLimitThatWasThereBeforeComesBackByUndo() {
        String limits = limitsOf("cinema-head");
        asha.send("PUT", limits, limits(Map.of("rollLeft", -12.5)));
        assertThat(edit("profile", "cinema-head", "ceiling-ptz").status()).isEqualTo(200);
        assertThat(edit("softRollLeft", "-1250", "").status()).isEqualTo(200);
        Answer refused = edit("softRollLeft", "", "-1250");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains("its head does not roll");
        assertThat(asha.send("POST", job + "/undo", Map.of()).status()).isEqualTo(200);
        assertThat(asha.get(job + "/file").text()).contains("\"softRollLeft\" : -1250");
        assertThat(asha.send("POST", job + "/undo", Map.of()).status()).isEqualTo(200);
        assertThat(camera().get("soft").get("rollLeft").asDouble()).isEqualTo(-12.5);
    }

    @Test
    void aFeelIsOfOnePersonAndOneKindOfCamera() {
        String feel = job + "/desk/feels/ceiling-ptz";
        Answer kept = asha.send("PUT", feel, FEEL);
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        assertThat(feel(asha).get("own").asBoolean()).isTrue();
        assertThat(feel(asha).get("curve").get(20).asDouble()).isEqualTo(1);
        assertThat(feel(asha).get("curve").get(11).asDouble()).isCloseTo(0.5, within(1e-9));
        asha.send("DELETE", feel, Map.of());
        assertThat(feel(asha).get("own").asBoolean()).isFalse();
        assertThat(feel(asha).get("k").asDouble()).isEqualTo(3);
    }

    private JsonNode feel(Client person) {
        for (JsonNode f : person.get(job + "/desk").json().get("feels")) {
            if (f.get("profile").asString().equals("ceiling-ptz")) {
                return f;
            }
        }
        throw new IllegalStateException("no such kind");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "POST|/desk/clear|{\"devices\":[],\"clear\":true}|400|devices",
                "POST|/desk/clear|{\"devices\":[99999999],\"clear\":true}|404|",
                "PUT|/desk/99999999/air|{\"onAir\":true}|404|",
                "PUT|/desk/feels/nose|{\"deadZone\":0.1,\"k\":1,\"rampSeconds\":0,\"pan\":1,\"tilt\":1,\"zoom\":1,\"focus\":1,\"recall\":1,\"crossingSeconds\":0}|404|",
                "PUT|/desk/feels/ceiling-ptz|{}|400|deadZone",
                "PUT|/desk/feels/ceiling-ptz|{\"deadZone\":0.1,\"k\":11,\"rampSeconds\":0,\"pan\":1,\"tilt\":1,\"zoom\":1,\"focus\":1,\"recall\":1,\"crossingSeconds\":0}|400|k",
                "PUT|/desk/pads|{\"name\":\"\",\"map\":{\"axes\":[],\"buttons\":[]}}|400|name",
                "PUT|/desk/pads|{\"name\":\"Two sticks\"}|400|map",
                "PUT|/desk/pads|{\"name\":\"Two sticks\",\"map\":{\"axes\":[{\"axis\":0,\"to\":\"nose\",\"turned\":false,\"centre\":0,\"dead\":0}],\"buttons\":[]}}|400|axes",
                "PUT|/desk/pads|{\"name\":\"Two sticks\",\"map\":{\"axes\":[],\"buttons\":[{\"button\":99,\"to\":\"stop\"}]}}|400|buttons"
            })
    void whatCannotBeIsRefusedAtItsPlace(
            String method, String path, String body, int status, String field) {
        Answer answer = asha.sendText(method, job + path, body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        if (field != null) {
            assertThat(answer.json().path("field").asString("")).isEqualTo(field);
        }
    }

    @Test
    void aPadIsRememberedAsItWasMapped() {
        Map<String, Object> map =
                Map.of(
                        "axes",
                        List.of(
                                Map.of(
                                        "axis", 2, "to", "tilt", "turned", true, "centre", 0.1,
                                        "dead", 0.05)),
                        "buttons",
                        List.of(Map.of("button", 7, "to", "hold")));
        String name = "Pad (STANDARD, 1/2)";
        assertThat(asha.get(job + "/desk/pads?name=Other").json().get("map").isNull()).isTrue();
        asha.send("PUT", job + "/desk/pads", Map.of("name", name, "map", map));
        JsonNode kept = asha.get(job + "/desk/pads?name=Pad%20(STANDARD,%201/2)").json().get("map");
        assertThat(kept.get("axes").get(0).get("to").asString()).isEqualTo("tilt");
        assertThat(kept.get("buttons").get(0).get("button").asInt()).isEqualTo(7);
    }
}
