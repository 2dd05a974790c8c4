package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The whole hall set up, but for what went wrong: found by looking, and by asking. */
class DiscoveryJourney extends Jerboa {
    private long job;

    /** At the device's own menu, as somebody typed it there. */
    private void typedAs(String device, String address) {
        programs.rig(
                "PUT",
                "/halls/" + job + "/devices/" + user.device(job, device) + "/network",
                "{\"address\":\"" + address + "\",\"prefix\":24,\"gateway\":\"10.44.8.1\"}");
    }

    private static Locator table(String name) {
        return user.page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator row(String table, String text) {
        return table(table)
                .getByRole(AriaRole.ROW, new Locator.GetByRoleOptions())
                .filter(new Locator.FilterOptions().setHasText(text));
    }

    @Test
    void whoIsThereAndWhoIsNot() {
        job = user.setHall();
        typedAs("L2", "10.44.8.77");
        typedAs("L3", "10.44.8.21");
        programs.rig(
                "PUT",
                "/halls/" + job + "/devices/" + user.device(job, "L5") + "/plug",
                "{\"plugged\":false,\"upstream\":false}");
        user.booted(job);
        user.open(job, "addresses?tab=as-found");
        user.settled();
        assertThat(user.page.getByText("Nothing was asked yet")).isVisible();
        user.press("Look for devices …");
        assertThat(user.page.getByText("10.44.8.0/24")).isVisible();
        user.page
                .getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Look").setExact(true))
                .click();
        assertThat(user.page.locator("[data-look=running]")).containsText("addresses done");
        assertThat(user.page.locator("[data-look=done]")).isVisible(longer());
        assertThat(row("On the network", "10.44.8.77")).containsText("L2 by its MAC");
        assertThat(row("On the network", "10.44.8.77")).containsText("planned at 10.44.8.22");
        assertThat(row("On the network", "10.44.8.21")).containsText("▲ two devices");
        assertThat(user.page.locator("[data-look]")).containsText("L5 (10.44.8.25)");
        // The margin says it too, until one is isolated and asked again.
        user.page.getByText("Findings (").click();
        assertThat(user.page.locator("aside")).containsText("Two devices answer at 10.44.8.21");
        assertThat(row("Otherwise than planned", "10.44.8.77"))
                .containsText(Pattern.compile("L2.*10.44.8.22.*10.44.8.77"));
        typedAs("L3", "10.44.8.23");
        user.booted(job);
        user.press("Ask the devices");
        assertThat(user.page.locator("aside")).not().containsText("Two devices answer");
        assertThat(row("As found", "L3")).containsText("10.44.8.23", containsLonger());
        // Each in every language there is a way for; the car park's dome has no power by the plan.
        assertThat(row("As found", "10.44.8.21")).containsText("VISCA, HTTP", containsLonger());
        assertThat(row("As found", "10.44.8.28")).containsText("panel link", containsLonger());
        assertThat(row("As found", "L10"))
                .containsText("VISCA, number 1, 9600 baud", containsLonger());
        assertThat(row("As found", "L13")).containsText("unsure", containsLonger());
        row("Otherwise than planned", "10.44.8.77").getByText("let the plan follow …").click();
        user.press("Apply");
        assertThat(row("Otherwise than planned", "10.44.8.77")).isHidden();
        user.page.keyboard().press("Control+z");
    }

    private static LocatorAssertions.IsVisibleOptions longer() {
        return new LocatorAssertions.IsVisibleOptions().setTimeout(40_000);
    }

    private static LocatorAssertions.ContainsTextOptions containsLonger() {
        return new LocatorAssertions.ContainsTextOptions().setTimeout(60_000);
    }
}
