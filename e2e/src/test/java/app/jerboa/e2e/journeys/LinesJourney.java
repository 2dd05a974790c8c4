package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Threads of cameras: made from the kit, controlled by whoever can, carried by what holds. */
class LinesJourney extends Jerboa {
    private static Locator tab(String name) {
        return user.page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator finding(String code) {
        return user.page.locator("aside [data-code=" + code + "]");
    }

    private static void margin() {
        user.page.getByText("Findings (").first().click();
    }

    @Test
    void aRoomOfMixedControlFromNothingToNoStopInUnderSixtyActions() {
        CountedActions hands = new CountedActions(user);
        hands.newJob("Room of many hands");
        hands.press("]");
        assertThat(user.page.getByText("How it is done here")).isVisible();
        hands.press("]");
        assertThat(user.page.getByText("Nothing is on the van yet")).isVisible();
        hands.press("/");
        hands.add("poe switch 24", 1);
        hands.add("ip stick 8", 2);
        hands.add("serial stick", 3);
        hands.add("paint server", 4);
        hands.add("tablet", 5);
        hands.add("sdi switcher", 6);
        hands.add("converter scaler", 7);
        hands.add("4 ceiling ptz 20x", 11);
        hands.add("2 ceiling ptz rs-232", 13);
        hands.add("2 shoulder camera", 15);
        hands.add("gimbal", 16);
        hands.add("2 network adapter", 18);
        hands.add("manual zoom lens", 19);
        hands.add("zoom motor", 20);
        hands.add("control bridge", 21);
        hands.click(user.page.getByText("Line-up").first());
        hands.click("Fill in what is missing …");
        assertThat(user.page.getByText("This clears")).isVisible();
        hands.click("Apply");
        assertThat(user.page.getByText("This clears")).hasCount(0);
        assertThat(user.row("L8").getByLabel("Change: Input of L8")).containsText("8 SDI switcher");
        hands.click(tab("Control routes"));
        Assertions.assertThat(hands.all()).as("actions").isLessThan(60);

        assertThat(way("Pan, tilt of L1")).containsText("IP stick 1VISCA over IP");
        assertThat(way("Zoom of L5")).containsText("serial VISCA");
        assertThat(way("Paint of L7")).containsText("Paint panel");
        assertThat(way("Zoom of L9")).containsText("Tablet");
        margin();
        assertThat(
                        finding("ID-DISAGREE")
                                .or(user.page.locator("aside [data-severity=note]"))
                                .first())
                .isVisible();
        assertThat(user.page.locator("aside [data-severity=stop]")).hasCount(0);
    }

    private static Locator.GetByLabelOptions exactly() {
        return new Locator.GetByLabelOptions().setExact(true);
    }

    private static Locator way(String of) {
        return user.page.getByLabel("Ways for " + of);
    }

    @Test
    void crossedLeadsStandOutOfLineAndTheLeastRepatchClearsThem() {
        long job = user.freshJob();
        user.open(job, "");
        assertThat(user.row("L5").locator("[data-out]")).containsText("≠ L5");
        assertThat(user.page.locator("[data-out]")).hasCount(2);
        margin();
        finding("ID-DISAGREE").getByRole(AriaRole.BUTTON).first().click();
        assertThat(user.page.getByText("This clears")).isVisible();
        user.press("Apply");
        assertThat(user.page.locator("[data-out]")).hasCount(0);
        user.page.getByText("Fold").click();
        user.page.locator("main h1").click();
        user.page.keyboard().press("Control+z");
        assertThat(user.page.locator("[data-out]")).hasCount(2);
    }

    @Test
    void aLineIsTakenUpByKeyboardAndAKeyIsChangedInPlace() {
        user.open(user.freshJob(), "");
        Locator handle = user.page.getByLabel("Move L2:");
        handle.focus();
        user.page.keyboard().press("ArrowUp");
        assertThat(user.row("L1").getByLabel("Change: Address of L1")).containsText("10.44.8.21");
        assertThat(
                        user.page
                                .getByText("and 10 more")
                                .or(user.page.getByText("Line L2: number 2 to 1"))
                                .first())
                .isVisible();
        user.row("L3").getByLabel("Change: Key of L3").click();
        user.page.getByLabel("Key of L3", new Page.GetByLabelOptions().setExact(true)).fill("8");
        user.page.keyboard().press("Enter");
        assertThat(user.row("L3").locator("[data-out]")).containsText("≠ L3");
        user.row("L3").getByLabel("Change: Key of L3").click();
        user.page.getByLabel("Key of L3", new Page.GetByLabelOptions().setExact(true)).fill("x");
        user.page.keyboard().press("Enter");
        assertThat(user.page.getByText("a number from 0 to 9999 belongs here")).isVisible();
    }

    @Test
    void anotherWayIsChosenWithItsReasonsBesideIt() {
        user.open(user.freshJob(), "");
        tab("Control routes").click();
        way("Zoom of L14").click();
        Locator drawer = user.page.getByLabel("Ways", new Page.GetByLabelOptions().setExact(true));
        assertThat(drawer.locator("[data-way=Tablet]").first())
                .containsText("Planned: the line has key 14");
        assertThat(drawer).containsText("If it fails:");
        drawer.locator("[data-way='IP stick']").first().getByText("Take this way").click();
        assertThat(drawer.locator("[data-way='IP stick']").first())
                .containsText("somebody chose it");
        drawer.getByText("As proposed").click();
        assertThat(drawer.locator("[data-way=Tablet]").first()).containsText("Planned");
        drawer.getByText("Must work from afar").click();
        assertThat(drawer.getByRole(AriaRole.CHECKBOX)).not().isChecked();
    }

    @Test
    void whatHangsIsNotedAndTheGimbalIsBalanced() {
        user.open(user.freshJob(), "kit");
        tab("Mount and balance").click();
        user.row("L8").getByLabel("Change: Place of L8").click();
        user.page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("truss")).click();
        assertThat(user.row("L8").getByLabel("Change: Place of L8")).containsText("truss");
        margin();
        assertThat(finding("MOUNT-BOND")).containsText("L8 hangs from the truss");
        user.page.getByText("Fold").click();
        user.page.getByLabel("Balance of L14").click();
        Locator drawer = user.page.getByLabel("Mount", new Page.GetByLabelOptions().setExact(true));
        assertThat(drawer).containsText("within its travel");
        drawer.getByLabel("Change: Place along of Manual lens").click();
        drawer.getByLabel("Place along of Manual lens", exactly()).fill("500");
        user.page.keyboard().press("Enter");
        assertThat(drawer).containsText("beyond its travel");
        drawer.getByText("Close").click();
        margin();
        assertThat(finding("MOUNT-BALANCE")).containsText("slides 35 mm each way");
    }
}
