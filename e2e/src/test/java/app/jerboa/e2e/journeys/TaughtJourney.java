package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A camera that nobody knew is taught by a profile: nothing is written for it but its facts. */
class TaughtJourney extends Jerboa {
    private static final String PROFILE =
            """
            {"id":"ID","name":"Lighthouse PTZ","sort":"ceiling-ptz","summary":"Made up just now.",
             "bootSeconds":20,"massKg":1.7,
             "network":{"starts":"fixed","address":"10.90.0.77","prefix":24,"medium":"wired"},
             "access":{"user":"keeper","password":"factory","letters":"any"},
             "speaks":[
              {"protocol":"visca-udp","over":"udp","port":1300,"twoWay":true,"carries":["pan-tilt","zoom"]},
              {"protocol":"web","over":"tcp","port":8081,"secured":true,"twoWay":true,"carries":["paint"]}],
             "head":{"countsPerDegree":20,"panLeftDegrees":-100,"panRightDegrees":100,
              "tiltDownDegrees":-20,"tiltUpDegrees":60,
              "pan":{"slowest":1,"fastest":40,"steps":24},"tilt":{"slowest":1,"fastest":30,"steps":20},
              "zoom":{"slowest":0.1,"fastest":0.5,"steps":8},
              "lens":{"sensorWidthMm":6.2,"wideMm":5,"teleMm":50},
              "roll":{"from":-45,"to":45,"slowest":0.5,"fastest":20,"steps":10,
               "drive":"8x 01 7E 71 0p 0p FF","ask":"8x 09 7E 71 FF",
               "answer":"y0 50 0p 0p 0p 0p FF","countsPerUnit":10},
              "rail":{"from":0,"to":6,"slowest":0.01,"fastest":0.8,"steps":8,
               "drive":"8x 01 7E 72 0p 0p FF"}},
             "video":{"formats":["1080p50"],"motionPath":"http://{address}/moving"},
             "knobs":[
              {"name":"lamp","use":"camera","least":0,"most":1,"readable":true,
               "choices":[{"name":"dark","value":0},{"name":"lit","value":1}],
               "said":[{"in":"visca","frame":"8x 01 7E 22 0p FF","ask":"8x 09 7E 22 FF","answer":"y0 50 0p FF"}]},
              {"name":"glow","use":"paint","least":LEAST,"most":MOST,"neutral":LEAST,
               "unit":"stops","effect":-0.25,"readable":true,
               "only":[{"knob":"lamp","in":["lit"]}],
               "said":[{"in":"http","request":{"method":"POST","path":"/lens","kind":"form","body":"glow={value:+d}&a=b"},
                 "reading":{"method":"GET","path":"/lens?of=glow","kind":"none"},
                 "found":{"pattern":"glow is ([+-]?[0-9]+)"}}]}],
             "verbs":[
              {"name":"start anew","does":"restarts",
               "said":[{"in":"http","request":{"method":"GET","path":"/anew","kind":"none"}}]}],
             "web":{"signIn":"digest"}}
            """;

    private long job;
    private String name = "";

    private JsonNode device() {
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        for (JsonNode d : hall.get("devices")) {
            if (d.get("name").asString().equals(name)) {
                return d;
            }
        }
        throw new IllegalStateException("no " + name);
    }

    private void stands(String knob, int value) {
        await().atMost(Duration.ofSeconds(10))
                .until(() -> device().get("knobs").get(knob).asInt() == value);
    }

    private Locator named(String label) {
        return user.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    @Test
    void whatNobodyKnewIsDrivenAndPainted() {
        Random odd = new Random();
        String id = "lighthouse-" + odd.nextInt(1_000_000);
        int least = -300 - odd.nextInt(200);
        int most = 100 + odd.nextInt(200);
        job = user.fourCameras();
        long old = user.device(job, "L1");
        user.send("POST", "/api/jobs/" + job + "/kit/remove", "{\"devices\":[" + old + "]}");
        JsonNode taken =
                user.send(
                        "POST",
                        "/api/jobs/" + job + "/profiles",
                        PROFILE.replace("ID", id)
                                .replace("LEAST", Integer.toString(least))
                                .replace("MOST", Integer.toString(most)));
        Assertions.assertThat(taken.has("version")).as(taken.toString()).isTrue();
        user.send("POST", "/api/jobs/" + job + "/kit", "{\"profile\":\"" + id + "\",\"count\":1}");
        user.bringUp(job);
        JsonNode view = user.send("GET", "/api/jobs/" + job, "");
        for (JsonNode d : view.get("devices")) {
            name = d.get("profileId").asString().equals(id) ? d.get("name").asString() : name;
        }

        drivesIt();
        paintsIt(least, most);
        showsItAndAsksALead();
    }

    private void take() {
        user.page
                .getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras"))
                .getByText(name)
                .click();
    }

    private void drivesIt() {
        user.clear(job, true);
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        take();
        // It gives no stills: the picture comes out of an answer that never ends.
        assertThat(user.page.locator("img[alt^='What ']").first())
                .hasJSProperty("naturalWidth", 960);
        pushUntil("ArrowRight", () -> device().get("head").get("panSpeed").asDouble() > 0);
        assertThat(user.page.getByText("seen standing still")).isVisible();
        rollsAndRuns();
        choose(named("lamp of " + name), "lit");
        stands("lamp", 1);
        assertThat(user.page.getByLabel("Functions of " + name)).containsText("reads lit");
    }

    private double axis(String axis) {
        return device().get("axes").get(axis).asDouble();
    }

    private void standsOn(String axis) {
        await().atMost(Duration.ofSeconds(10))
                .until(
                        () -> {
                            double before = axis(axis);
                            return axis(axis) == before && !device().get("moving").asBoolean();
                        });
    }

    /** Roll by its key, rail by its lever; a page that is gone stops what it had moving. */
    private void rollsAndRuns() {
        pushUntil("e", () -> axis("roll") > 2);
        standsOn("roll");
        assertThat(user.page.locator("[data-reading=Roll]")).containsText("clockwise");
        keepsToItsPartOfTheRoll();
        Push onwards = Push.ofLever("Onwards on the rail while held");
        pushingUntil(onwards, () -> axis("rail") > 0.2);
        onwards.letGo().run();
        standsOn("rail");
        pushingUntil(Push.of("q"), () -> axis("roll") < 1);
        user.page.navigate("about:blank");
        standsOn("roll");
        Assertions.assertThat(axis("roll")).as("it did not run to its end").isGreaterThan(-40);
        user.page.keyboard().up("q");
        user.open(job, "desk");
        take();
    }

    private static double shownRoll() {
        String shown = user.page.locator("[data-reading=Roll]").innerText();
        return Double.parseDouble(shown.replaceAll("(?s)^.*?(-?[0-9.]+)°.*$", "$1"));
    }

    /**
     * A soft limit is set where it is rolled to; it comes back to there, and not past it. Of the
     * rail it does not tell where it is: no limit can be set there.
     */
    private void keepsToItsPartOfTheRoll() {
        double end = axis("roll");
        // The limit is set where the page says it stands, which may be a reading behind.
        await().until(() -> Math.abs(shownRoll() - end) < 0.3);
        assertThat(user.page.getByLabel("Soft limit rail end here")).hasCount(0);
        user.page.getByLabel("Soft limit roll right here").click();
        Locator soft = user.page.getByLabel("Soft limits");
        assertThat(soft).containsText("Soft limits: roll right");
        pushUntil("q", () -> axis("roll") < end - 5);
        standsOn("roll");
        // Whoever pushes on is told so in other words.
        Locator held =
                user.page.getByText(
                        Pattern.compile("standing still \\(its soft limit\\)|at a soft limit on"));
        pushUntil("e", () -> held.count() > 0);
        standsOn("roll");
        // On a machine that stalls a reading comes late, and it is slowed down that much later.
        Assertions.assertThat(axis("roll")).isBetween(end - 2, end + 1.5);
        soft.getByText("None").click();
        assertThat(soft).containsText("No soft limits");
    }

    private void paintsIt(int least, int most) {
        user.open(job, "paint");
        choose(named("Camera"), name);
        named("glow of " + name + ", typed").fill("-17");
        user.page.keyboard().press("Enter");
        stands("glow", -17);
        String effect = String.format(Locale.ROOT, "reads -17, %.0f", -0.25 * (-17 - least));
        assertThat(user.page.locator("[data-knob=glow]")).containsText(effect);
        named("glow of " + name + ", typed").fill("99999");
        user.page.keyboard().press("Enter");
        stands("glow", most);
        user.page.locator("h1").click();
        user.page.keyboard().press("z");
        user.page.keyboard().press("z");
        stands("glow", least);
    }

    /**
     * What restarts it came from outside: shown exactly, approved by a lead, and asked each time.
     */
    private void showsItAndAsksALead() {
        user.open(job, "desk");
        take();
        user.press("start anew …");
        Locator asks = user.page.getByRole(AriaRole.DIALOG);
        assertThat(asks).containsText("GET /anew");
        assertThat(user.button("Send it")).isDisabled();
        user.press("Approve it");
        assertThat(user.button("Send it")).isEnabled();
        Assertions.assertThat(device().get("phase").asString()).isEqualTo("UP");
        user.press("Send it");
        await().until(() -> device().get("phase").asString().equals("BOOTING"));
        user.open(job, "logbook");
        assertThat(user.page.getByText("GET /anew").first()).isVisible();
    }
}
