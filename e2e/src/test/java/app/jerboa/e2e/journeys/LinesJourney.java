package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Threads of cameras: made from the kit, controlled by whoever can, carried by what holds. */
class LinesJourney extends Jerboa {
    private static Locator tab(String name) {
        return desk.page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator finding(String code) {
        return desk.page.locator("aside [data-code=" + code + "]");
    }

    private static void margin() {
        desk.page.getByText("Findings (").first().click();
    }

    @Test
    void aRoomOfMixedControlFromNothingToNoStopInUnderSixtyActions() {
        Hands hands = new Hands(desk);
        hands.newJob("Room of many hands");
        hands.press("]");
        assertThat(desk.page.getByText("How it is done here")).isVisible();
        hands.press("]");
        assertThat(desk.page.getByText("Nothing is on the van yet")).isVisible();
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
        hands.click(desk.page.getByText("Line-up").first());
        hands.click("Fill in what is missing …");
        assertThat(desk.page.getByText("This clears")).isVisible();
        hands.click("Apply");
        assertThat(desk.page.getByText("This clears")).hasCount(0);
        assertThat(desk.row("L8").getByLabel("Change: Input of L8")).containsText("8 SDI switcher");
        hands.click(tab("Control routes"));
        Assertions.assertThat(hands.all()).as("actions").isLessThan(60);

        assertThat(way("Pan, tilt of L1")).containsText("IP stick 1VISCA over IP");
        assertThat(way("Zoom of L5")).containsText("serial VISCA");
        assertThat(way("Paint of L7")).containsText("Paint panel");
        assertThat(way("Zoom of L9")).containsText("Tablet");
        margin();
        assertThat(
                        finding("ID-DISAGREE")
                                .or(desk.page.locator("aside [data-severity=note]"))
                                .first())
                .isVisible();
        assertThat(desk.page.locator("aside [data-severity=stop]")).hasCount(0);
    }

    private static Locator.GetByLabelOptions exactly() {
        return new Locator.GetByLabelOptions().setExact(true);
    }

    private static Locator way(String of) {
        return desk.page.getByLabel("Ways for " + of);
    }

    @Test
    void crossedLeadsStandOutOfLineAndTheLeastRepatchClearsThem() {
        long job = desk.freshJob();
        desk.open(job, "");
        assertThat(desk.row("L5").locator("[data-out]")).containsText("≠ L5");
        assertThat(desk.page.locator("[data-out]")).hasCount(2);
        margin();
        finding("ID-DISAGREE").getByRole(AriaRole.BUTTON).first().click();
        assertThat(desk.page.getByText("This clears")).isVisible();
        desk.press("Apply");
        assertThat(desk.page.locator("[data-out]")).hasCount(0);
        desk.page.getByText("Fold").click();
        desk.page.locator("main h1").click();
        desk.page.keyboard().press("Control+z");
        assertThat(desk.page.locator("[data-out]")).hasCount(2);
    }

    @Test
    void aLineIsTakenUpByKeyboardAndAKeyIsChangedInPlace() {
        desk.open(desk.freshJob(), "");
        Locator handle = desk.page.getByLabel("Move L2:");
        handle.focus();
        desk.page.keyboard().press("ArrowUp");
        assertThat(desk.row("L1").getByLabel("Change: Address of L1")).containsText("10.44.8.21");
        assertThat(
                        desk.page
                                .getByText("and 10 more")
                                .or(desk.page.getByText("Line L2: number 2 to 1"))
                                .first())
                .isVisible();
        desk.row("L3").getByLabel("Change: Key of L3").click();
        desk.page.getByLabel("Key of L3", new Page.GetByLabelOptions().setExact(true)).fill("8");
        desk.page.keyboard().press("Enter");
        assertThat(desk.row("L3").locator("[data-out]")).containsText("≠ L3");
        desk.row("L3").getByLabel("Change: Key of L3").click();
        desk.page.getByLabel("Key of L3", new Page.GetByLabelOptions().setExact(true)).fill("x");
        desk.page.keyboard().press("Enter");
        assertThat(desk.page.getByText("a number from 0 to 9999 belongs here")).isVisible();
    }

    @Test
    void anotherWayIsChosenWithItsReasonsBesideIt() {
        desk.open(desk.freshJob(), "");
        tab("Control routes").click();
        way("Zoom of L14").click();
        Locator drawer = desk.page.getByLabel("Ways", new Page.GetByLabelOptions().setExact(true));
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
        desk.open(desk.freshJob(), "kit");
        tab("Mount and balance").click();
        desk.row("L8").getByLabel("Change: Place of L8").click();
        desk.page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("truss")).click();
        assertThat(desk.row("L8").getByLabel("Change: Place of L8")).containsText("truss");
        margin();
        assertThat(finding("MOUNT-BOND")).containsText("L8 hangs from the truss");
        desk.page.getByText("Fold").click();
        desk.page.getByLabel("Balance of L14").click();
        Locator drawer = desk.page.getByLabel("Mount", new Page.GetByLabelOptions().setExact(true));
        assertThat(drawer).containsText("within its travel");
        drawer.getByLabel("Change: Place along of Manual lens").click();
        drawer.getByLabel("Place along of Manual lens", exactly()).fill("500");
        desk.page.keyboard().press("Enter");
        assertThat(drawer).containsText("beyond its travel");
        drawer.getByText("Close").click();
        margin();
        assertThat(finding("MOUNT-BALANCE")).containsText("slides 35 mm each way");
    }
}
