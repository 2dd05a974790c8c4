package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Makes the pictures of docs/screenshots from the demo job; run by {@code ./jerboa shots}. */
class Screenshots extends Jerboa {
    private static void shoot(String name) {
        user.settled();
        user.page.screenshot(
                new Page.ScreenshotOptions()
                        .setPath(Path.of("..", "docs", "screenshots", name + ".png")));
    }

    @Test
    void planning() {
        user.sitDown(ColorScheme.LIGHT, 1280, 800);
        user.page.navigate(programs.url("/"));
        assertThat(user.button("Sign in")).isVisible();
        user.signIn();
        user.openJobs();
        assertThat(user.row("Quillhaven Curling Hall").first()).isVisible();
        shoot("jobs");
        long job = user.freshJob();
        user.open(job, "");
        shoot("line-up");
        user.page.getByText("Control routes").click();
        assertThat(user.page.getByLabel("Ways for Zoom of L14")).isVisible();
        shoot("control-routes");
        user.open(job, "site");
        assertThat(user.page.getByText("How it is done here")).isVisible();
        shoot("site");
        user.open(job, "kit");
        assertThat(user.page.locator("[data-profile=ceiling-ptz]")).isVisible();
        shoot("kit");
        user.page.getByText("Mount and balance").click();
        user.page.getByLabel("Balance of L14").click();
        assertThat(user.page.getByText("within its travel").first()).isVisible();
        shoot("mount");
        user.page.keyboard().press("Escape");
        user.open(job, "cabling");
        Locator dome =
                user.page.locator(
                        "svg text", new Page.LocatorOptions().setHasText("12.0 V → 6.8 V"));
        assertThat(dome).isVisible();
        shoot("cabling");
        dome.click();
        assertThat(user.page.locator("[data-step=Current]")).isVisible();
        user.press("Close");
        user.open(job, "addresses");
        shoot("addresses");
        user.press("Sums");
        assertThat(user.page.getByText("● works")).isVisible();
        shoot("sums");
        user.press("Close");
    }

    @Test
    void together() {
        long job = user.freshJob();
        try (BrowserUser other = new BrowserUser(programs)) {
            other.signIn("tomas");
            user.letIn(job, "technician", other);
            other.open(job, "addresses");
            user.open(job, "addresses");
            user.row("L2").getByRole(AriaRole.BUTTON).first().click();
            user.page.getByLabel("Address of L2").fill("10.44.8.26");
            user.setAddress(job, "L2", "10.44.8.22", "10.44.8.25");
            user.page.keyboard().press("Enter");
            assertThat(user.page.getByRole(AriaRole.ALERTDIALOG)).isVisible();
            user.page.keyboard().press("Escape");
            user.setAddress(job, "L2", "10.44.8.25", "10.44.8.22");
            user.open(job, "people");
            user.press("Make the link");
            assertThat(user.page.getByText("It works once")).isVisible();
            user.open(job, "logbook");
            user.page
                    .getByLabel("What should the next technician know?")
                    .fill("Ladder at the north door; the key is with the caretaker.");
            user.press("Write it");
            assertThat(user.page.locator("[data-log=note]")).isVisible();
            shoot("logbook");
        }
    }

    @Test
    void bringUp() {
        long job = user.fourCameras();
        user.send("POST", "/api/jobs/" + job + "/secrets/make", makeFor(job));
        user.open(job, "bring-up");
        user.page.getByLabel("Hop to each factory network").check();
        user.press("Start the bring-up");
        programs.speed(100);
        for (int reach = 1; reach <= 4; reach++) {
            assertThat(user.page.locator("[data-step=reach]")).containsText("Step " + reach);
            user.settled();
            user.press("Done, check it");
        }
        user.press("In the rig: Put the laptop there");
        user.press("In the rig: Plug it in");
        assertThat(user.page.locator("[data-step=set]")).isVisible();
        assertThat(user.button("Done, check it")).isEnabled();
        programs.speed(1);
        user.page.locator("main").evaluate("main => main.scrollTo(0, 0)");
        shoot("bring-up");
        user.page.setViewportSize(390, 844);
        shoot("bring-up-phone");
    }

    private static String makeFor(long job) {
        return "{\"deviceIds\":[" + user.device(job, "L1") + "]}";
    }

    @Test
    void asFound() {
        long job = user.setHall();
        programs.rig(
                "PUT",
                "/halls/" + job + "/devices/" + user.device(job, "L2") + "/network",
                "{\"address\":\"10.44.8.77\",\"prefix\":24,\"gateway\":\"10.44.8.254\"}");
        user.booted(job);
        user.open(job, "addresses?tab=as-found");
        user.press("Ask the devices");
        assertThat(user.page.getByText("Otherwise than planned")).isVisible();
        user.page.waitForCondition(
                () ->
                        !user.send("GET", "/api/jobs/" + job + "/prove", "")
                                .toString()
                                .contains("running"));
        user.send(
                "POST",
                "/api/jobs/" + job + "/discovery/start",
                "{\"subnets\":[\"10.44.8.0/24\"],\"confirmed\":true}");
        assertThat(user.page.locator("[data-look=done]")).isVisible();
        user.page.mouse().click(700, 90);
        shoot("found");
    }

    /** Its views are stored anew, each with its picture. */
    private static void withStills(long job) {
        programs.speed(1);
        String path = "/api/jobs/" + job + "/presets/";
        user.send(
                "POST",
                path + user.device(job, "L2") + "/run",
                "{\"what\":\"write\",\"clear\":true}");
        await().atMost(Duration.ofSeconds(90))
                .pollInterval(Duration.ofSeconds(1))
                .untilAsserted(() -> Assertions.assertThat(rowRun(path)).contains("\"done\","));
    }

    private static String rowRun(String path) {
        return user.send("GET", path + "run", "").toString();
    }

    /** The list while it is run, with the take in it that cannot be made. */
    @Test
    void shots() {
        long job = user.setHall();
        user.open(job, "shots");
        user.press("Run …");
        user.page.getByText("said “clear”").click();
        user.press("Send the cameras");
        assertThat(user.page.locator("[data-sent=there]")).hasCount(4);
        user.page.keyboard().press("n");
        assertThat(user.page.locator("[data-run] b").first()).containsText("1 ·");
        assertThat(user.button("Next (n)")).isEnabled();
        user.page.keyboard().press("n");
        assertThat(user.page.locator("[data-run] b").first()).containsText("2 ·");
        assertThat(user.page.locator("[data-sent=there]")).hasCount(3);
        shoot("shots");
        user.press("End");
    }

    @Test
    void driving() {
        long job = user.wholeHall();
        user.send(
                "PUT",
                "/api/jobs/" + job + "/desk/" + user.device(job, "L2") + "/limits",
                "{\"panLeft\":-75,\"panRight\":60,\"tiltDown\":-25,\"tiltUp\":30,"
                        + "\"rollLeft\":null,\"rollRight\":null,\"railFrom\":null,\"railTo\":null}");
        withStills(job);
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press("2");
        assertThat(user.page.locator("[data-reading=Pan]")).isVisible();
        user.page.keyboard().down("ArrowRight");
        user.page.keyboard().down("+");
        user.page.waitForFunction(
                "() => parseFloat(document.querySelector('[data-reading=Pan]').textContent.replace(/[^0-9.-]/g, '')) > 5");
        user.page.keyboard().up("ArrowRight");
        user.page.keyboard().up("+");
        assertThat(user.page.locator("[aria-label='Presets of L2'] img")).hasCount(3);
        await().until(
                        () ->
                                BrowserUser.json(programs.rig("GET", "/halls/" + job, ""))
                                                .at("/devices/1/head/panSpeed")
                                                .asDouble()
                                        == 0);
        shoot("desk");
        user.open(job, "wire");
        assertThat(user.page.getByText("drive pan").first()).isVisible();
        user.page
                .getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Frames"))
                .getByRole(AriaRole.BUTTON)
                .nth(2)
                .click();
        shoot("wire-log");
        user.button("Stand-in rig").click();
        assertThat(user.page.getByText("I may move these heads now")).isVisible();
        user.press("Close");
        user.sitDown(ColorScheme.DARK, 1280, 800);
        user.signIn();
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press("1");
        user.page.keyboard().press("3");
        assertThat(user.page.getByText("tells nothing back").first()).isVisible();
        user.page.keyboard().press("w");
        user.page.keyboard().press("w");
        user.page.waitForFunction(
                "() => [...document.querySelectorAll('[aria-label=Wall] img')]"
                        + ".filter(i => i.naturalWidth === 960).length >= 6");
        shoot("desk-dusk");
    }

    /**
     * Two lines proved by machine, the others asked only; a person saw one thing and missed one.
     */
    @Test
    void proving() {
        long job = user.setHall();
        String path = "/api/jobs/" + job;
        List<Long> all = new ArrayList<>();
        user.send("GET", path, "").get("lines").forEach(l -> all.add(l.get("id").asLong()));
        prove(
                path,
                all.subList(0, 2),
                "\"link\",\"address\",\"moves\",\"zoom\",\"focus\",\"stop\",\"stream\"");
        prove(path, all, "\"link\",\"address\",\"iris\",\"white-balance\"");
        user.open(job, "prove");
        see("L1 direction: open", "Yes, it is so");
        see("L2 direction: open", "It differs");
        user.page.getByLabel("L2 moves: asked").click();
        assertThat(user.page.locator("[data-observation]")).isVisible();
        user.press("Close");
        user.page.locator("main").evaluate("main => main.scrollTo(0, 0)");
        shoot("prove");
    }

    private static void see(String mark, String answer) {
        user.page.getByLabel(mark).click();
        user.press(answer);
        assertThat(user.page.locator("[data-observation]")).isVisible();
        user.press("Close");
    }

    private static void prove(String path, List<Long> lines, String tests) {
        user.send(
                "POST",
                path + "/prove/start",
                "{\"lines\":" + lines + ",\"tests\":[" + tests + "],\"clear\":true}");
        await().atMost(Duration.ofMinutes(2))
                .pollInSameThread()
                .until(
                        () ->
                                !user.send("GET", path + "/prove", "")
                                        .get("state")
                                        .asString()
                                        .equals("running"));
    }

    @Test
    void painting() {
        long job = user.setHall();
        for (String camera : new String[] {"L1", "L2"}) {
            String told = "/api/jobs/" + job + "/told/" + user.device(job, camera) + "/turn";
            user.send("POST", told, "{\"knob\":\"white balance\",\"value\":5,\"confirmed\":false}");
            user.send("POST", told, "{\"knob\":\"red gain\",\"value\":141,\"confirmed\":false}");
        }
        user.open(job, "paint");
        user.page.getByLabel("Beside it").click();
        user.page
                .getByRole(
                        AriaRole.OPTION, new Page.GetByRoleOptions().setName("L2").setExact(true))
                .click();
        assertThat(user.page.getByText("reads 141").nth(1)).isVisible();
        shoot("paint");
    }
}
