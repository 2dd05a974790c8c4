package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

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
        desk.open(job, "addresses");
        shoot("addresses");
        desk.page.locator("[data-code=ADDR-TAKEN] button").first().click();
        assertThat(desk.page.getByText("This clears")).isVisible();
        shoot("fix-preview");
    }

    @Test
    void bringUp() {
        long job = desk.soundJob();
        desk.open(job, "bring-up");
        desk.press("Start the bring-up");
        programs.speed(100);
        for (String hands :
                new String[] {
                    "In the rig: Put the laptop on 192.168.77.250/24", "In the rig: Plug L1 in"
                }) {
            desk.press(hands);
            desk.press("Done, check it");
        }
        desk.page.waitForTimeout(1200);
        desk.press("Done, check it");
        assertThat(desk.page.locator("[data-step=set]")).isVisible();
        programs.speed(1);
        shoot("bring-up");
        desk.page.setViewportSize(390, 844);
        shoot("bring-up-phone");
    }

    @Test
    void driving() {
        long job = desk.broughtUpJob();
        desk.open(job, "desk");
        assertThat(desk.page.getByRole(AriaRole.GROUP)).isVisible();
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
        assertThat(desk.page.getByRole(AriaRole.GROUP)).isVisible();
        desk.page.keyboard().press("1");
        assertThat(desk.page.locator("[data-reading=Pan]")).isVisible();
        shoot("desk-dusk");
        desk.open(desk.freshJob(), "addresses");
        shoot("addresses-dusk");
    }
}
