package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.DeskLine;
import app.jerboa.e2e.harness.HttpUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Cameras are painted from their knobs: turned, read back, copied, taken back. */
class PaintJourney extends Jerboa {
    private long job;

    private int standsAt(String device, String knob) {
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        for (JsonNode d : hall.get("devices")) {
            if (d.get("name").asString().equals(device)) {
                return d.get("knobs").get(knob).asInt();
            }
        }
        throw new IllegalStateException("no " + device);
    }

    private Locator named(String label) {
        return user.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private void type(String knob, String value) {
        named(knob + ", typed").fill(value);
        user.page.keyboard().press("Enter");
    }

    private Locator row(String knob) {
        return user.page.locator("[data-knob='" + knob + "']");
    }

    private void tick(String box) {
        user.page
                .getByRole(
                        AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(box).setExact(true))
                .check();
    }

    private void stands(String device, String knob, int value) {
        await().atMost(Duration.ofSeconds(10)).until(() -> standsAt(device, knob) == value);
    }

    @Test
    void twoCeilingCamerasAndTwoByPanelLink() {
        job = user.setHall();
        user.open(job, "paint");
        choose(named("Beside it"), "L2");
        assertThat(row("red gain")).containsText("white balance is auto: set it to manual");
        choose(named("white balance of L1"), "manual");
        choose(named("white balance of L2"), "manual");
        assertThat(named("red gain of L1, typed")).isEnabled();
        type("red gain of L1", "140");
        assertThat(row("red gain")).containsText("reads 140, +0.6 dB by the profile");
        stands("L1", "red gain", 140);
        named("red gain of L1").press("ArrowRight");
        stands("L1", "red gain", 141);

        tick("Copy red gain");
        tick("L2");
        user.press("Copy");
        assertThat(user.page.getByText("1 knobs turned.")).isVisible();
        stands("L2", "red gain", 141);
        user.page.locator("h1").click();
        user.page.keyboard().press("z");
        stands("L2", "red gain", 128);

        choose(named("Camera"), "L8");
        choose(named("Beside it"), "L9");
        type("master black of L8", "12");
        assertThat(row("master black")).containsText("reads 12, +0.6 % by the profile");
        type("master black of L9", "-7");
        stands("L9", "master black", -7);
        stands("L8", "master black", 12);
        type("iris of L9", "400");
        assertThat(row("iris")).containsText("reads 100");
        assertThat(row("hue")).hasCount(0);
    }

    /**
     * A studio camera has a key too: what can be turned on it is beside the head that is driven.
     */
    @Test
    void aCameraWithoutAHeadIsTurnedFromItsKey() {
        job = user.setHall();
        user.open(job, "desk");
        Locator keys =
                user.page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras"));
        assertThat(keys).containsText("iris, paint");
        user.page.keyboard().press("3");
        assertThat(user.page.getByLabel("Functions of L3")).isVisible();
        user.page.keyboard().press("8");
        assertThat(user.page.getByText("L8 has no head to drive")).isVisible();
        assertThat(user.page.getByLabel("Functions of L8")).isVisible();
        assertThat(user.page.locator("[data-reading=Pan]")).isVisible();
        user.page.keyboard().press("4");
        assertThat(user.page.getByLabel("Functions of L4")).isVisible();
        assertThat(user.page.getByText("has no head to drive")).hasCount(0);
    }

    @Test
    void theDeskAsksBeforeACameraGoesOff() {
        job = user.setHall();
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press("3");
        Locator functions = user.page.getByLabel("Functions of L3");
        assertThat(functions).containsText("exposure is auto: set it to manual or iris priority");
        choose(named("focus mode of L3"), "manual");
        stands("L3", "focus mode", 3);
        assertThat(functions).containsText("reads manual");
        goesThroughItsMenu();
        choose(named("power of L3"), "standby");
        Locator asks = user.page.getByRole(AriaRole.DIALOG);
        assertThat(asks).containsText("81 01 04 00 03 FF");
        assertThat(asks).containsText("whoever is on air with it loses the picture");
        Assertions.assertThat(standsAt("L3", "power")).isEqualTo(2);
        user.press("Send it");
        stands("L3", "power", 3);
        choose(named("focus mode of L3"), "auto");
        assertThat(functions).containsText("L3 does not take focus mode now");
        assertThat(user.page.locator("body")).not().containsText("factory");
        whatSomebodyElseDrivesIsLeftAlone();
    }

    /** Arrows are the menu's while it has the keyboard: what it turns is turned, no head moves. */
    private void goesThroughItsMenu() {
        Locator menu =
                user.page.getByRole(
                        AriaRole.GROUP, new Page.GetByRoleOptions().setName("Menu of L3"));
        assertThat(menu).hasCount(0);
        choose(named("menu of L3"), "on");
        menu.focus();
        user.page.keyboard().press("ArrowLeft");
        stands("L3", "focus mode", 2);
        user.page.keyboard().press("ArrowRight");
        stands("L3", "focus mode", 3);
        menu.getByText("Back").click();
        stands("L3", "menu", 3);
        assertThat(menu).hasCount(0);
    }

    private void whatSomebodyElseDrivesIsLeftAlone() {
        HttpUser tomas = new HttpUser(programs::url).signIn("tomas");
        String path =
                user.send(
                                "POST",
                                "/api/jobs/" + job + "/people/invitations",
                                "{\"role\":\"operator\",\"days\":1}")
                        .get("path")
                        .asString();
        tomas.post("/auth/invitations/" + path.replace("/invitation/", "") + "/join", "{}").join();
        long camera = user.device(job, "L4");
        try (DeskLine desk = tomas.desk().take(job, camera)) {
            Assertions.assertThat(desk.ended()).isFalse();
            String turn = "{\"knob\":\"focus mode\",\"value\":3,\"confirmed\":false}";
            String told = "/api/jobs/" + job + "/told/" + camera + "/turn";
            Assertions.assertThat(user.send("POST", told, turn).get("detail").asString())
                    .contains("is driving L4 now, so nothing was sent");
            Assertions.assertThat(standsAt("L4", "focus mode")).isEqualTo(2);
            Assertions.assertThat(tomas.post(told, turn).join().body()).contains("\"value\":3");
        }
    }
}
