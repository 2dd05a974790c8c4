package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Somebody is let in by a link, looks on, and is signed out everywhere; the logbook tells. */
class PeopleJourney extends Jerboa {
    @Test
    void aViewerComesInByALinkAndLooksOn() {
        long job = desk.freshJob();
        desk.open(job, "people");
        desk.page.getByLabel("Part", new Page.GetByLabelOptions().setExact(true)).click();
        desk.page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("viewer")).click();
        desk.press("Make the link");
        String link = desk.page.getByText("/invitation/").innerText();
        desk.sitDown(ColorScheme.LIGHT, 1280, 800);
        desk.page.navigate(link);
        assertThat(desk.page.locator("form"))
                .containsText("Asha Lindqvist lets you into Quillhaven Curling Hall as viewer");
        desk.page.getByLabel("Sign-in name").fill("viewer-of-" + job);
        desk.page.getByLabel("Your name, as others read it").fill("Ines Quay");
        desk.page.getByLabel("Password").fill("looking on only");
        desk.press("Make an account and join");
        assertThat(desk.row("L1")).containsText("10.44.8.21");
        desk.open(job, "addresses");
        assertThat(desk.row("L1").getByRole(AriaRole.BUTTON)).hasCount(0);
        assertThat(desk.button("Undo")).hasCount(0);
        assertThat(desk.page.getByText("Your role in this job is to look on")).isVisible();
        desk.open(job, "desk");
        assertThat(
                        desk.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        desk.page.keyboard().press("1");
        assertThat(desk.page.getByRole(AriaRole.ALERT))
                .containsText("Your role in this job is viewer");
        desk.open(job, "people");
        assertThat(desk.row("Ines Quay (you)")).hasCount(0);
        assertThat(desk.row("Ines Quay")).containsText("viewer");

        desk.press("Ines Quay");
        desk.page.getByText("Change password …").click();
        desk.page.getByLabel("Present password").fill("looking on only");
        desk.page.getByLabel("New password").fill("short");
        desk.press("Change it");
        assertThat(desk.page.getByRole(AriaRole.DIALOG)).containsText("password needs 10");
        desk.page.getByLabel("New password").fill("another long one");
        desk.press("Change it");
        assertThat(desk.page.getByText("Everywhere else you are signed out")).isVisible();
        desk.press("Close");
        desk.press("Ines Quay");
        desk.page.getByText("Sign out everywhere").click();
        assertThat(desk.button("Sign in")).isVisible();
        desk.page.navigate(link);
        assertThat(desk.page.getByText("This invitation is not valid")).isVisible();
    }

    @Test
    void theLogbookIsWrittenReadAndFiltered() {
        long job = desk.freshJob();
        desk.setAddress(job, "L1", "10.44.8.21", "10.44.8.41");
        desk.open(job, "logbook");
        desk.page
                .getByLabel("What should the next technician know?")
                .fill("Ladder at the north door");
        desk.page
                .getByLabel("Photo")
                .setInputFiles(Path.of("..", "docs", "screenshots", "jobs.png"));
        desk.press("Write it");
        Locator note = desk.page.locator("[data-log=note]");
        assertThat(note).containsText("Ladder at the north door");
        assertThat(note.locator("img")).isVisible();
        assertThat(desk.page.locator("[data-log=change]")).containsText("10.44.8.21 to 10.44.8.41");
        desk.page.getByLabel("Device").click();
        desk.page
                .getByRole(
                        AriaRole.OPTION, new Page.GetByRoleOptions().setName("L1").setExact(true))
                .click();
        assertThat(note).hasCount(0);
        assertThat(desk.page.locator("[data-log]")).hasCount(1);
        desk.press("Show all");
        assertThat(note).isVisible();
    }

    @Test
    void aFindingIsWaivedAndTheJumpBoxLeadsThere() {
        desk.open(desk.freshJob(), "");
        desk.page.keyboard().press("Control+k");
        desk.page.getByLabel("Jump to").fill("10.44.8.33");
        desk.page.keyboard().press("Enter");
        assertThat(desk.row("L4")).hasAttribute("data-pointed", "");
        desk.page.keyboard().press(",");
        assertThat(desk.row("L3")).hasAttribute("data-pointed", "");
        desk.press("Waive ADDR-TAKEN");
        desk.page.getByLabel("Why it may stand").fill("That computer goes on Friday");
        desk.press("Waive it");
        Locator waived = desk.page.locator("aside [data-waived]");
        assertThat(waived).containsText("Asha Lindqvist: That computer goes on Friday");
        assertThat(desk.row("L4")).not().containsText("ADDR-TAKEN");
        desk.press("Undo");
        assertThat(waived).hasCount(0);
        desk.page.keyboard().press("?");
        assertThat(desk.page.getByRole(AriaRole.DIALOG)).containsText("previous and next line");
    }
}
