package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
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
        return user.page.getByRole(AriaRole.DIALOG);
    }

    private static Locator mark(String device) {
        return user.page.locator("[aria-label^='" + device + " at']");
    }

    @Test
    void aDeviceIsMovedOnTheRulerWithItsConsequencesFirst() {
        user.open(user.freshJob(), "addresses");
        mark("L1").focus();
        user.page.keyboard().press("ArrowLeft");
        user.page.keyboard().press("Enter");
        assertThat(dialog()).containsText("Move L1 to 10.44.8.20?");
        assertThat(dialog()).containsText("counts up");
        user.press("Leave as it is");
        assertThat(user.row("L1")).containsText("10.44.8.21");
        user.press("cameras");
        BoundingBox at = mark("L7").boundingBox();
        double y = at.y + at.height / 2;
        user.page.mouse().move(at.x + at.width / 2, y);
        user.page.mouse().down();
        user.page.mouse().move(at.x + at.width / 2 + 150, y);
        user.page.mouse().up();
        assertThat(dialog()).containsText("Move L7 to 10.44.8.");
        user.press("Apply");
        assertThat(dialog()).hasCount(0);
        assertThat(user.row("L7")).not().containsText("10.44.8.27");
    }

    @Test
    void whatAnAddressBringsIsSeenWhileItIsTyped() {
        user.open(user.freshJob(), "addresses");
        user.page.getByLabel("Change: Address of L2").click();
        user.page.getByLabel("Address of L2").fill("10.44.8.21");
        assertThat(user.page.getByText("brings stop: L1 and L2 are both planned on 10.44.8.21"))
                .isVisible();
        user.page.keyboard().press("Escape");
        assertThat(user.row("L2")).containsText("10.44.8.22");
    }

    @Test
    void plansAreTriedSideBySideAndOneIsTaken() {
        long job = user.freshJob();
        user.open(job, "addresses?tab=what-if");
        user.page.getByLabel("Cameras from").fill("10.44.8.41");
        user.press("Try this start");
        Locator other = user.row("Cameras from 10.44.8.41");
        assertThat(other).containsText("10.44.8.41 to 10.44.8.49");
        assertThat(other).containsText("clears ADDR-GAP, ADDR-TAKEN");
        user.press("Try this practice");
        assertThat(user.row("All static and reserved")).isVisible();
        other.getByRole(AriaRole.BUTTON).click();
        user.press("Apply");
        assertThat(dialog()).hasCount(0);
        user.open(job, "addresses");
        assertThat(user.row("L4")).containsText("10.44.8.44");
    }

    @Test
    void passwordsAreMadeShownKeyByKeyAndLeftOutOfTheLogs() {
        long job = user.freshJob();
        user.open(job, "addresses?tab=secrets");
        user.page.locator("button:has-text('Make passwords for')").click();
        assertThat(user.button("Every device has its own")).isDisabled();
        user.page.getByLabel("Show: Password of IP stick").click();
        String value = dialog().locator(".mono").first().innerText().strip();
        assertThat(value).matches("[2-9]{8}");
        user.press("Key by key");
        assertThat(dialog()).containsText("press 1 of 8");
        user.press("Next press");
        assertThat(dialog()).containsText("press 2 of 8");
        user.page.keyboard().press("Escape");
        assertThat(user.page.getByText(value)).hasCount(0);
        user.open(job, "logbook");
        assertThat(user.page.getByText("Shown: password of IP stick").first()).isVisible();
        assertThat(Programs.logs()).doesNotContain(value);
    }

    @Test
    void somebodysSheetIsTakenOverRowByRow() {
        long job = user.freshJob();
        user.open(job, "addresses?tab=files");
        byte[] sheet =
                "name,address\nL1,10.44.8.21\nL2,10.44.8.52\nL3,10.44.8.53\nnobody,10.44.8.9\n"
                        .getBytes(StandardCharsets.UTF_8);
        user.page
                .getByLabel("Sheet to compare")
                .setInputFiles(new FilePayload("theirs.csv", "text/csv", sheet));
        assertThat(
                        user.page.getByText(
                                "Rows that agree: 1; that differ: 2; that cannot be taken: 1."))
                .isVisible();
        user.page.getByLabel("Take row 4").uncheck();
        user.press("Take over 1 row …");
        user.press("Apply");
        assertThat(dialog()).hasCount(0);
        user.open(job, "addresses");
        assertThat(user.row("L2")).containsText("10.44.8.52");
        assertThat(user.row("L3")).containsText("10.44.8.23");
    }
}
