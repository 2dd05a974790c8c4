package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.jerboa.e2e.harness.Desk;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Makes the pictures of docs/screenshots from the demo job; run by {@code ./jerboa shots}. */
class Screenshots extends Jerboa {
    private static void shoot(String name) {
        desk.page.waitForTimeout(400);
        desk.page.screenshot(
                new Page.ScreenshotOptions()
                        .setPath(Path.of("..", "docs", "screenshots", name + ".png")));
    }

    @Test
    void planning() {
        desk.sitDown(ColorScheme.LIGHT, 1280, 800);
        desk.page.navigate(programs.url("/"));
        assertThat(desk.button("Sign in")).isVisible();
        shoot("sign-in");
        desk.signIn();
        assertThat(desk.row("Quillhaven Curling Hall").first()).isVisible();
        shoot("jobs");
        long job = desk.freshJob();
        desk.open(job, "");
        shoot("line-up");
        desk.page.getByText("Control routes").click();
        assertThat(desk.page.getByLabel("Ways for Zoom of L14")).isVisible();
        shoot("control-routes");
        desk.open(job, "site");
        assertThat(desk.page.getByText("How it is done here")).isVisible();
        shoot("site");
        desk.open(job, "kit");
        assertThat(desk.page.locator("[data-profile=ceiling-ptz]")).isVisible();
        shoot("kit");
        desk.page.getByText("Mount and balance").click();
        desk.page.getByLabel("Balance of L14").click();
        assertThat(desk.page.getByText("within its travel").first()).isVisible();
        shoot("mount");
        desk.page.keyboard().press("Escape");
        desk.open(job, "cabling");
        Locator dome =
                desk.page.locator(
                        "svg text", new Page.LocatorOptions().setHasText("12.0 V → 6.8 V"));
        assertThat(dome).isVisible();
        shoot("cabling");
        dome.click();
        assertThat(desk.page.locator("[data-step=Current]")).isVisible();
        shoot("cabling-run");
        desk.press("Close");
        desk.open(job, "addresses");
        shoot("addresses");
        desk.press("Sums");
        assertThat(desk.page.getByText("● works")).isVisible();
        shoot("sums");
        desk.press("Close");
        desk.page.locator("[data-code=ADDR-TAKEN] button").first().click();
        assertThat(desk.page.getByText("This clears")).isVisible();
        shoot("fix-preview");
    }

    @Test
    void together() {
        long job = desk.freshJob();
        try (Desk other = new Desk(programs)) {
            other.signIn("tomas");
            desk.letIn(job, "technician", other);
            other.open(job, "addresses");
            desk.open(job, "addresses");
            desk.row("L2").getByRole(AriaRole.BUTTON).first().click();
            desk.page.getByLabel("Address of L2").fill("10.44.8.26");
            desk.setAddress(job, "L2", "10.44.8.22", "10.44.8.25");
            desk.page.keyboard().press("Enter");
            assertThat(desk.page.getByRole(AriaRole.ALERTDIALOG)).isVisible();
            desk.page.keyboard().press("Escape");
            desk.setAddress(job, "L2", "10.44.8.25", "10.44.8.22");
            desk.open(job, "people");
            desk.press("Make the link");
            assertThat(desk.page.getByText("It works once")).isVisible();
            shoot("people");
            desk.open(job, "logbook");
            desk.page
                    .getByLabel("What should the next technician know?")
                    .fill("Ladder at the north door; the key is with the caretaker.");
            desk.press("Write it");
            assertThat(desk.page.locator("[data-log=note]")).isVisible();
            shoot("logbook");
        }
    }

    @Test
    void bringUp() {
        long job = desk.fourCameras();
        desk.send("POST", "/api/jobs/" + job + "/secrets/make", makeFor(job));
        desk.open(job, "bring-up");
        desk.page.getByLabel("Hop to each factory network").check();
        desk.press("Start the bring-up");
        programs.speed(100);
        for (int reach = 1; reach <= 4; reach++) {
            assertThat(desk.page.locator("[data-step=reach]")).containsText("Step " + reach);
            desk.page.waitForTimeout(400);
            desk.press("Done, check it");
        }
        for (String hands :
                new String[] {"In the rig: Put the laptop there", "In the rig: Plug it in"}) {
            desk.press(hands);
            desk.page.waitForTimeout(400);
            desk.press("Done, check it");
        }
        desk.page.waitForTimeout(1200);
        desk.press("Done, check it");
        assertThat(desk.page.locator("[data-step=set]")).isVisible();
        programs.speed(1);
        desk.page.locator("main").evaluate("main => main.scrollTo(0, 0)");
        shoot("bring-up");
        desk.page.setViewportSize(390, 844);
        shoot("bring-up-phone");
    }

    private static String makeFor(long job) {
        return "{\"deviceIds\":[" + desk.device(job, "L1") + "]}";
    }

    @Test
    void bringUpMethods() {
        long job = desk.freshJob();
        desk.setAddress(job, "L4", "10.44.8.33", "10.44.8.24");
        desk.open(job, "bring-up");
        assertThat(desk.page.getByText("Recommended:")).isVisible();
        shoot("bring-up-methods");
    }

    @Test
    void driving() {
        long job = desk.broughtUpJob();
        desk.open(job, "desk");
        assertThat(
                        desk.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        desk.page.keyboard().press("2");
        assertThat(desk.page.locator("[data-reading=Pan]")).isVisible();
        desk.page.keyboard().down("ArrowRight");
        desk.page.keyboard().down("+");
        desk.page.waitForTimeout(250);
        desk.page.keyboard().up("ArrowRight");
        desk.page.waitForTimeout(500);
        desk.page.keyboard().up("+");
        desk.page.waitForTimeout(500);
        shoot("desk");
        desk.sitDown(ColorScheme.DARK, 1280, 800);
        desk.signIn();
        desk.open(job, "desk");
        assertThat(
                        desk.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        desk.page.keyboard().press("1");
        assertThat(desk.page.locator("[data-reading=Pan]")).isVisible();
        shoot("desk-dusk");
    }
}
