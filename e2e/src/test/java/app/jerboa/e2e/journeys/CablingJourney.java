package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Runs drawn, reckoned, mended and bought, from the van's kit to the cut list. */
class CablingJourney extends Jerboa {
    private static Locator tab(String name) {
        return user.page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator step(String what) {
        return user.page.locator("[data-step='" + what + "']");
    }

    private static Locator drawn(String text) {
        return user.page.locator("svg text", new Page.LocatorOptions().setHasText(text));
    }

    private static Locator slider(String name) {
        return user.page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name));
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    @Test
    void theDomesRunIsTooLongUntilItIsMended() {
        long job = user.freshJob();
        user.open(job, "cabling");
        assertThat(drawn("161.5 W of 130.0 W").first()).isVisible();
        drawn("12.0 V → 6.8 V").first().click();
        assertThat(step("Volts at the device")).containsText("▲ 6.79 V");
        assertThat(step("Volts at the device")).containsText("it needs 10.80 V");
        user.page.reload();
        assertThat(step("Volts at the device")).containsText("▲ 6.79 V");

        slider("Supply").focus();
        for (int volt = 12; volt < 24; volt++) {
            user.page.keyboard().press("ArrowRight");
        }
        assertThat(step("Volts at the device")).containsText("22.42 V");
        assertThat(user.page.getByText("nothing is stored yet")).isVisible();
        user.press("As it is");
        assertThat(step("Volts at the device")).containsText("6.79 V");
        slider("Length").focus();
        user.page.keyboard().press("Home");
        assertThat(step("Volts at the device")).containsText("12.00 V");
        user.press("Close");

        user.page.getByText("Findings (").first().click();
        Locator drop = user.page.locator("aside [data-code=DC-DROP]");
        drop.getByRole(AriaRole.BUTTON).first().click();
        assertThat(user.page.getByText("This clears")).isVisible();
        user.press("Apply");
        assertThat(drop).hasCount(0);
        assertThat(drawn("DC pair AWG 16").first()).isVisible();
        assertThat(drawn("12.0 V → 11.0 V").first()).isVisible();
    }

    @Test
    void fromLooseKitToACutListWithPrices() throws Exception {
        CountedActions hands = new CountedActions(user);
        hands.newJob("Room to be wired");
        user.page.getByText("Kit").first().click();
        assertThat(user.page.getByText("Nothing is on the van yet")).isVisible();
        hands.press("/");
        hands.add("poe switch 24", 1);
        hands.add("house router", 2);
        hands.add("3 ceiling ptz 20x", 5);
        hands.add("sdi switcher", 6);
        hands.add("ip stick 8", 7);
        user.page.getByText("Line-up").first().click();
        user.press("Fill in what is missing …");
        user.press("Apply");
        assertThat(user.page.getByText("This clears")).hasCount(0);
        user.page.getByText("Cabling").first().click();
        assertThat(user.page.getByText("No runs yet")).isVisible();
        user.press("Connect all …");
        assertThat(user.page.getByText("Added: 9")).isVisible();
        user.press("Apply");
        assertThat(drawn("INPUT 3").first()).isVisible();
        user.press("Connect all …");
        assertThat(user.page.getByText("Everything that fits is joined already")).isVisible();

        refused();
        tab("Runs: 9").click();
        user.page.getByLabel("Change: Length to L2 LAN").click();
        user.page.getByLabel("Length to L2 LAN", exactly()).fill("164ft");
        user.page.keyboard().press("Enter");
        assertThat(user.page.getByLabel("Change: Length to L2 LAN")).hasText("50 m");

        tab("Materials").click();
        // Two runs of 30 m, one of 49.987 m, three of 3 m across the rack, and 10 %.
        assertThat(user.row("data cable AWG 24")).containsText("130.9 m");
        user.page.getByLabel("Change: Price of RJ45 plug").click();
        user.page.getByLabel("Price of RJ45 plug", exactly()).fill("0.50");
        user.page.keyboard().press("Enter");
        assertThat(user.page.getByText("Total 7.00")).isVisible();
        Path csv =
                user.page
                        .waitForDownload(
                                () ->
                                        user.page
                                                .getByRole(
                                                        AriaRole.LINK,
                                                        new Page.GetByRoleOptions().setName("CSV"))
                                                .click())
                        .path();
        Assertions.assertThat(Files.readString(csv))
                .contains("RJ45 plug,piece,12.00,2.00,14.00,0.50,7.00");
    }

    /** By hand: a camera's second output, what it may go to, and why not to the others. */
    private static void refused() {
        user.press("Add a run …");
        pick("From", "L1");
        pick("Its socket", "SDI");
        // In use already, so it cannot be picked; HDMI is free and has nowhere to go.
        user.page.keyboard().press("Escape");
        pick("Its socket", "HDMI");
        assertThat(user.page.getByText("Nothing it could be joined with is free")).isVisible();
        user.press("Leave it");
    }

    private static void pick(String list, String choice) {
        user.page
                .getByRole(
                        AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(list).setExact(true))
                .click();
        Locator option =
                user.page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(choice).setExact(true));
        if (option.count() > 0) {
            option.click();
        }
    }
}
