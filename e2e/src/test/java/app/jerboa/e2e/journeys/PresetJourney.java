package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** Looks that cameras keep: stored, told what they hold, gone back to, and stopped on the way. */
class PresetJourney extends DeskHall {
    private static final Page.GetByTextOptions EXACTLY = new Page.GetByTextOptions().setExact(true);

    private static double pan(int camera) {
        return head(camera).get("pan").asDouble();
    }

    private static Locator presets(int camera) {
        return user.page.getByLabel("Presets of L" + camera);
    }

    private static void store(int camera, String name) {
        presets(camera).getByText("Store this view").click();
        user.page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill(name);
        user.page
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Store").setExact(true))
                .click();
        assertThat(preset(name)).isVisible();
    }

    private static Locator preset(String name) {
        return user.page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("^\\d+ " + name)));
    }

    private static void driveAway(int camera, String key, double by) {
        double from = pan(camera);
        pushUntil(key, () -> Math.abs(pan(camera) - from) > by);
        awaitStanding(camera);
    }

    @Test
    void aViewIsStoredWithWhatItHoldsAndRecalled() {
        openDesk();
        take(1);
        assertThat(presets(1)).containsText("None is noted yet");
        store(1, "house end");
        double stored = pan(1);
        assertThat(preset("house end")).containsText("position, zoom; not focus, iris");
        assertThat(preset("house end").locator("img")).hasJSProperty("naturalWidth", 320);
        driveAway(1, "ArrowRight", 8);
        store(1, "wide");
        double wide = pan(1);
        preset("house end").click();
        await().atMost(Duration.ofSeconds(15)).until(() -> Math.abs(pan(1) - stored) < 0.2);
        awaitStanding(1);
        user.page.keyboard().press("p");
        user.page.keyboard().press("1");
        await().atMost(Duration.ofSeconds(15)).until(() -> Math.abs(pan(1) - wide) < 0.2);
        awaitStanding(1);

        isSeenBeforeItIsTaken(stored, wide);

        user.page.getByLabel("About preset 0").click();
        Locator about = user.page.getByLabel("Preset 0 of L1");
        assertThat(about).containsText("Stored by Asha Lindqvist");
        assertThat(about).containsText("iris is left to the automatic; set exposure to manual");
        about.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Set exposure"))
                .first()
                .click();
        assertThat(about).containsText("Store it again");
        user.page.getByLabel("Name of preset 0").fill("house");
        about.getByText("Rename").click();
        assertThat(preset("house end")).hasCount(0);
        assertThat(preset("house")).isVisible();
    }

    /** By key or by press: first what it saw, and only then the head goes. */
    private static void isSeenBeforeItIsTaken(double stored, double wide) {
        user.page.getByText("preview first").click();
        user.page.keyboard().press("p");
        user.page.keyboard().press("0");
        Locator preview = user.page.getByLabel("Preview of preset 0");
        assertThat(preview.locator("img")).hasJSProperty("naturalWidth", 320);
        user.page.keyboard().press("x");
        assertThat(preview).hasCount(0);
        preset("house end").click();
        assertThat(preview).isVisible();
        assertThat(pan(1)).isCloseTo(wide, within(0.2));
        user.page.keyboard().press("Enter");
        await().atMost(Duration.ofSeconds(15)).until(() -> Math.abs(pan(1) - stored) < 0.2);
        assertThat(preview).hasCount(0);
        awaitStanding(1);
        user.page.getByText("preview first").click();
    }

    /** A recall moves a head by itself: asked for first, and ended by any stop. */
    @Test
    void aRecallIsAskedForOnAirAndStoppedOnItsWay() {
        openDesk();
        take(2);
        store(2, "left");
        double left = pan(2);
        driveAway(2, "ArrowRight", 60);
        user.page.getByText("Put on air").click();
        assertThat(user.page.getByText("L2 is on air.", EXACTLY)).isVisible();
        double before = pan(2);
        preset("left").click();
        assertThat(user.page.getByText("Not moved: ")).isVisible();
        assertThat(pan(2)).isCloseTo(before, within(0.01));
        recallsAt(0.05);
        user.press("Let it move on air");
        preset("left").click();
        await().atMost(Duration.ofSeconds(15)).until(() -> Math.abs(pan(2) - before) > 0.5);
        user.page.keyboard().press("Escape");
        awaitStanding(2);
        assertThat(Math.abs(pan(2) - left)).as("it was stopped on its way").isGreaterThan(1);
        user.page.getByText("Take off air").click();
        user.send("DELETE", "/api/jobs/" + job + "/desk/feels/ceiling-ptz", "");
    }

    /** Slow enough that a busy machine stops it on its way too. */
    private static void recallsAt(double share) {
        user.send(
                "PUT",
                "/api/jobs/" + job + "/desk/feels/ceiling-ptz",
                "{\"deadZone\":0.05,\"k\":0,\"rampSeconds\":0,\"pan\":1,\"tilt\":1,\"zoom\":1,\"focus\":1,\"recall\":"
                        + share
                        + ",\"crossingSeconds\":0}");
    }

    /** As a reset leaves it: the camera keeps no view any more. */
    private static void forget(int camera) {
        String path = "/halls/" + job + "/snapshot";
        ObjectNode snapshot = (ObjectNode) BrowserUser.json(programs.rig("GET", path, ""));
        String device = Long.toString(user.device(job, "L" + camera));
        ((ObjectNode) snapshot.path("state").path("things").path("devices").path(device))
                .set("presets", snapshot.objectNode());
        programs.rig("PUT", path, snapshot.toString());
    }

    private static void row(String button, String start) {
        user.press(button);
        assertThat(user.button(start)).isDisabled();
        user.page.getByText("said “clear”").click();
        user.press(start);
        assertThat(user.page.locator("[data-row-run=running]")).isVisible();
        assertThat(user.page.locator("[data-row-run]"))
                .containsText(
                        "The row of L3 was",
                        new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
    }

    /** A camera that was reset: what it lost is seen, written back, and seen to stand. */
    @Test
    void aRowIsCheckedAndWrittenBackAfterAReset() {
        job = user.broughtUpJob();
        openDesk();
        take(3);
        store(3, "wide");
        double wide = pan(3);
        driveAway(3, "ArrowRight", 12);
        store(3, "rings");
        double rings = pan(3);
        row("Check this row …", "Check 2 views");
        assertThat(user.page.locator("[data-outcome=stands]")).hasCount(2);

        forget(3);
        take(3);
        row("Check this row …", "Check 2 views");
        assertThat(user.page.locator("[data-outcome=differs]")).hasCount(1);
        assertThat(user.page.getByText("it points").first()).isVisible();

        take(3);
        row("Write it back …", "Write 2 views");
        assertThat(user.page.locator("[data-outcome=written]")).hasCount(2);
        assertThat(pan(3)).as("it is put back").isCloseTo(rings, within(0.3));
        take(3);
        preset("wide").click();
        await().atMost(Duration.ofSeconds(15)).until(() -> Math.abs(pan(3) - wide) < 0.3);
        awaitStanding(3);
        row("Check this row …", "Check 2 views");
        assertThat(user.page.locator("[data-outcome=stands]")).hasCount(2);
    }

    @Test
    void whatWasReadIsNotTyped() {
        openDesk();
        List<String> typed =
                List.of(
                        "{\"camera\":\"%d\",\"number\":\"5\",\"pan\":\"100\"}",
                        "{\"camera\":\"%d\",\"number\":\"5\"}");
        long camera = user.device(job, "L3");
        String refused = add(typed.get(0).formatted(camera));
        assertThat(refused).contains("not-yours");
        assertThat(add(typed.get(1).formatted(camera))).contains("\"version\"");
        String bad =
                user.send(
                                "POST",
                                "/api/jobs/" + job + "/presets/" + camera + "/100",
                                "{\"name\":\"\",\"note\":\"\"}")
                        .toString();
        assertThat(bad).contains("keeps views under 0 to 99");
    }

    private static String add(String values) {
        return user.send(
                        "POST",
                        "/api/jobs/" + job + "/changes",
                        "{\"adds\":[{\"item\":\"preset\",\"id\":-1,\"values\":"
                                + values
                                + "}],\"edits\":[],\"removes\":[]}")
                .toString();
    }
}
