package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The bring-up over HTTP, without a rig: everything is told, nothing can be asked. */
class BringUpTest extends RunningServer {
    private Client asha;
    private String job;

    @BeforeEach
    void soundDemo() {
        asha = new Client().signIn();
        JsonNode view = asha.send("POST", "/api/jobs/demo", Map.of()).json();
        job = "/api/jobs/" + view.get("id").asLong();
        JsonNode gap =
                all(view.get("findings")).stream()
                        .filter(f -> f.get("code").asString().equals("ADDR-GAP"))
                        .findFirst()
                        .orElseThrow();
        asha.sendText("POST", job + "/changes", gap.get("fixes").get(0).get("changes").toString());
        keepSmall(view);
    }

    /** Six rivals, the switch they hang on and a stick are enough. */
    private void keepSmall(JsonNode view) {
        List<Long> others =
                all(view.get("devices")).stream()
                        .filter(
                                d ->
                                        !d.get("name")
                                                .asString()
                                                .matches("L[1-6]|PoE switch|IP stick"))
                        .map(d -> d.get("id").asLong())
                        .toList();
        assertThat(asha.send("POST", job + "/kit/remove", Map.of("devices", others)).status())
                .isEqualTo(200);
    }

    private JsonNode start(String method) {
        return asha.send(
                        "POST",
                        job + "/bring-up/start",
                        Map.of("method", method, "workshop", false))
                .json();
    }

    private static JsonNode current(JsonNode view) {
        return view.get("steps").get(view.get("current").asInt() - 1);
    }

    private JsonNode check(JsonNode view) {
        String path = job + "/bring-up/steps/" + view.get("current").asInt() + "/check";
        return asha.send("POST", path, Map.of()).json().get("view");
    }

    private JsonNode until(JsonNode view, String kind, String device) {
        JsonNode now = view;
        for (int i = 0; i < 200; i++) {
            JsonNode step = current(now);
            if (step.get("kind").asString().equals(kind)
                    && step.get("device").asString().equals(device)) {
                return now;
            }
            now = check(now);
        }
        throw new AssertionError("no step " + kind + " of " + device);
    }

    @Test
    void methodsStandSideBySideWithTheLeastRecommended() {
        JsonNode site = asha.get(job + "/bring-up/methods").json();
        JsonNode bench = asha.get(job + "/bring-up/methods?workshop=true").json();
        assertThat(all(site.get("methods")).stream().map(m -> m.get("method").asString()))
                .containsExactly(
                        "hop",
                        "hop-each",
                        "second-address",
                        "lease",
                        "search",
                        "pairing-code",
                        "switch-port");
        int least =
                all(site.get("methods")).stream()
                        .mapToInt(m -> m.get("seconds").asInt())
                        .min()
                        .orElseThrow();
        assertThat(all(site.get("methods")))
                .filteredOn(
                        m -> m.get("method").asString().equals(site.get("recommended").asString()))
                .allMatch(m -> m.get("seconds").asInt() == least);
        for (int i = 0; i < 5; i++) {
            assertThat(bench.get("methods").get(i).get("steps").asInt())
                    .as("a label for each of the devices")
                    .isEqualTo(site.get("methods").get(i).get("steps").asInt() + 8);
        }
    }

    /**
     * Told step after step to the end, whatever the method, with rivals never connected together.
     */
    @ParameterizedTest
    @CsvSource({
        "hop",
        "hop-each",
        "second-address",
        "lease",
        "search",
        "pairing-code",
        "switch-port"
    })
    void everyMethodCanBeCarriedOutToItsEnd(String method) {
        JsonNode view = start(method);
        Set<String> rivals = new HashSet<>();
        int steps = view.get("steps").size();
        for (int i = 0; i < steps; i++) {
            JsonNode step = current(view);
            boolean rival = step.get("factory").asString().equals("192.168.77.10");
            String kind = step.get("kind").asString();
            if (rival && (kind.equals("plug") || kind.equals("port"))) {
                assertThat(rivals).as("before %s", step).isEmpty();
                rivals.add(step.get("device").asString());
            } else if (kind.equals("restart")
                    || kind.equals("set") && List.of("lease", "search").contains(method)) {
                rivals.remove(step.get("device").asString());
            }
            view = check(view);
        }
        assertThat(view.get("finished").asBoolean()).isTrue();
        assertThat(all(asha.get(job).json().get("devices")))
                .filteredOn(d -> d.get("name").asString().matches("L[1-9]"))
                .allMatch(d -> d.get("mark").asString().equals("set"));
        assertThat(asha.get(job + "/log").text()).contains("L6 is at 10.44.8.26, by hand (told)");
    }

    @Test
    void whatDiffersIsPlannedOnFromWhereItWasFound() {
        JsonNode view = until(start("second-address"), "see", "L1");
        int done = view.get("current").asInt() - 1;
        String path = job + "/bring-up/steps/" + view.get("current").asInt();
        assertThat(asha.send("POST", path + "/differs", Map.of("saw", "", "address", "")).code())
                .isEqualTo("bad-value");
        JsonNode then =
                asha.send(
                                "POST",
                                path + "/differs",
                                Map.of("saw", "it answers elsewhere", "address", "10.44.8.77"))
                        .json();
        assertThat(then.get("steps").get(done).get("differs").asBoolean()).isTrue();
        assertThat(all(then.get("steps")).subList(done + 1, then.get("steps").size()))
                .filteredOn(s -> s.get("device").asString().equals("L1"))
                .extracting(s -> s.get("kind").asString())
                .containsSubsequence("set", "restart", "verify")
                .doesNotContain("plug");
        assertThat(asha.get(job + "/log").text()).contains("L1 differs from the plan");
    }

    @Test
    void whatFailsIsPutAsideAndComesBackWhenTheRestIsPlannedAnew() {
        JsonNode view = until(start("hop"), "see", "L2");
        String path = job + "/bring-up/steps/" + view.get("current").asInt() + "/aside";
        JsonNode then = asha.send("POST", path, Map.of("saw", "no light", "address", "")).json();
        assertThat(then.get("aside").asString()).isEqualTo("L2");
        assertThat(open(then)).doesNotContain("L2").contains("L3");
        JsonNode anew = asha.send("POST", job + "/bring-up/replan", Map.of()).json();
        assertThat(anew.get("aside").asString()).isEmpty();
        assertThat(open(anew)).contains("L2", "L3");
    }

    /** Also at a step that is no matter of addresses: the same step must not come again. */
    @Test
    void whoIsPutAsideHasNoStepAtAll() {
        JsonNode view = start("hop");
        String first = current(view).get("device").asString();
        assertThat(current(view).get("kind").asString()).isEqualTo("reach");
        String path = job + "/bring-up/steps/1/aside";
        JsonNode then = asha.send("POST", path, Map.of("saw", "no ladder", "address", "")).json();
        assertThat(all(then.get("steps"))).noneMatch(s -> s.get("device").asString().equals(first));
        assertThat(then.get("aside").asString()).isEqualTo(first);
    }

    private static List<String> open(JsonNode view) {
        return all(view.get("steps")).stream()
                .filter(
                        s ->
                                !s.get("done").asBoolean()
                                        && s.get("kind").asString().equals("verify"))
                .map(s -> s.get("device").asString())
                .toList();
    }

    /** Ticked at once, each takes next to no time: after three of a kind that is counted with. */
    @Test
    void estimatesLearnFromTheTimesTaken() {
        assertThat(seconds("plug")).isEqualTo(20);
        JsonNode view = start("second-address");
        for (int plugged = 0; plugged < 3; ) {
            plugged += current(view).get("kind").asString().equals("plug") ? 1 : 0;
            view = check(view);
        }
        assertThat(seconds("plug")).isLessThan(20);
        assertThat(seconds("label")).isEqualTo(20);
        long site = asha.get(job).json().get("site").get("id").asLong();
        asha.send("POST", job + "/changes", edit("site", site, "secondsLabel", "20", "33"));
        assertThat(seconds("label")).isEqualTo(33);
    }

    private int seconds(String work) {
        return all(asha.get(job + "/bring-up/methods").json().get("times")).stream()
                .filter(t -> t.get("work").asString().equals(work))
                .findFirst()
                .orElseThrow()
                .get("seconds")
                .asInt();
    }

    @Test
    void refusalsSayWhatToDo() {
        assertThat(asha.send("POST", job + "/bring-up/replan", Map.of()).code())
                .isEqualTo("not-started");
        assertThat(
                        asha.send(
                                        "POST",
                                        job + "/bring-up/start",
                                        Map.of("method", "magic", "workshop", false))
                                .code())
                .isEqualTo("bad-value");
        JsonNode view = until(start("hop"), "hop-out", "");
        String path = job + "/bring-up/steps/" + view.get("current").asInt() + "/aside";
        assertThat(asha.send("POST", path, Map.of("saw", "x", "address", "")).code())
                .isEqualTo("no-device");
        asha.send("POST", job + "/bring-up/end", Map.of());
        assertThat(asha.get(job + "/bring-up").json().get("started").asBoolean()).isFalse();
    }
}
