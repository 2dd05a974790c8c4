package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** The address plan: moved by hand, tried otherwise, its secrets, and somebody else's sheet. */
class AddressPlanJourney extends Jerboa {
    private static Locator dialog() {
        return desk.page.getByRole(AriaRole.DIALOG);
    }

    private static Locator mark(String device) {
        return desk.page.locator("[aria-label^='" + device + " at']");
    }

    @Test
    void aDeviceIsMovedOnTheRulerWithItsConsequencesFirst() {
        desk.open(desk.freshJob(), "addresses");
        mark("L1").focus();
        desk.page.keyboard().press("ArrowLeft");
        desk.page.keyboard().press("Enter");
        assertThat(dialog()).containsText("Move L1 to 10.44.8.20?");
        assertThat(dialog()).containsText("counts up");
        desk.press("Leave as it is");
        assertThat(desk.row("L1")).containsText("10.44.8.21");
        desk.press("cameras");
        BoundingBox at = mark("L7").boundingBox();
        double y = at.y + at.height / 2;
        desk.page.mouse().move(at.x + at.width / 2, y);
        desk.page.mouse().down();
        desk.page.mouse().move(at.x + at.width / 2 + 150, y);
        desk.page.mouse().up();
        assertThat(dialog()).containsText("Move L7 to 10.44.8.");
        desk.press("Apply");
        assertThat(dialog()).hasCount(0);
        assertThat(desk.row("L7")).not().containsText("10.44.8.27");
    }

    @Test
    void whatAnAddressBringsIsSeenWhileItIsTyped() {
        desk.open(desk.freshJob(), "addresses");
        desk.page.getByLabel("Change: Address of L2").click();
        desk.page.getByLabel("Address of L2").fill("10.44.8.21");
        assertThat(desk.page.getByText("brings stop: L1 and L2 are both planned on 10.44.8.21"))
                .isVisible();
        desk.page.keyboard().press("Escape");
        assertThat(desk.row("L2")).containsText("10.44.8.22");
    }

    @Test
    void plansAreTriedSideBySideAndOneIsTaken() {
        long job = desk.freshJob();
        desk.open(job, "addresses?tab=what-if");
        desk.page.getByLabel("Cameras from").fill("10.44.8.41");
        desk.press("Try this start");
        Locator other = desk.row("Cameras from 10.44.8.41");
        assertThat(other).containsText("10.44.8.41 to 10.44.8.49");
        assertThat(other).containsText("clears ADDR-GAP, ADDR-TAKEN");
        desk.press("Try this practice");
        assertThat(desk.row("All static and reserved")).isVisible();
        other.getByRole(AriaRole.BUTTON).click();
        desk.press("Apply");
        assertThat(dialog()).hasCount(0);
        desk.open(job, "addresses");
        assertThat(desk.row("L4")).containsText("10.44.8.44");
    }

    @Test
    void passwordsAreMadeShownKeyByKeyAndLeftOutOfTheLogs() {
        long job = desk.freshJob();
        desk.open(job, "addresses?tab=secrets");
        desk.page.locator("button:has-text('Make passwords for')").click();
        assertThat(desk.button("Every device has its own")).isDisabled();
        desk.page.getByLabel("Show: Password of IP stick").click();
        String value = dialog().locator(".mono").first().innerText().strip();
        assertThat(value).matches("[2-9]{8}");
        desk.press("Key by key");
        assertThat(dialog()).containsText("press 1 of 8");
        desk.press("Next press");
        assertThat(dialog()).containsText("press 2 of 8");
        desk.page.keyboard().press("Escape");
        assertThat(desk.page.getByText(value)).hasCount(0);
        desk.open(job, "logbook");
        assertThat(desk.page.getByText("Shown: password of IP stick").first()).isVisible();
        assertThat(Programs.logs()).doesNotContain(value);
    }

    @Test
    void somebodysSheetIsTakenOverRowByRow() {
        long job = desk.freshJob();
        desk.open(job, "addresses?tab=files");
        byte[] sheet =
                "name,address\nL1,10.44.8.21\nL2,10.44.8.52\nL3,10.44.8.53\nnobody,10.44.8.9\n"
                        .getBytes(StandardCharsets.UTF_8);
        desk.page
                .getByLabel("Sheet to compare")
                .setInputFiles(new FilePayload("theirs.csv", "text/csv", sheet));
        assertThat(
                        desk.page.getByText(
                                "Rows that agree: 1; that differ: 2; that cannot be taken: 1."))
                .isVisible();
        desk.page.getByLabel("Take row 4").uncheck();
        desk.press("Take over 1 row …");
        desk.press("Apply");
        assertThat(dialog()).hasCount(0);
        desk.open(job, "addresses");
        assertThat(desk.row("L2")).containsText("10.44.8.52");
        assertThat(desk.row("L3")).containsText("10.44.8.23");
    }
}
