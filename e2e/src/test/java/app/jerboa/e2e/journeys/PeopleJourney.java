package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

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
        long job = user.freshJob();
        user.open(job, "people");
        user.page.getByLabel("Part", new Page.GetByLabelOptions().setExact(true)).click();
        user.page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("viewer")).click();
        user.press("Make the link");
        String link = user.page.getByText("/invitation/").innerText();
        user.sitDown(ColorScheme.LIGHT, 1280, 800);
        user.page.navigate(link);
        assertThat(user.page.locator("form"))
                .containsText("Asha Lindqvist lets you into Quillhaven Curling Hall as viewer");
        user.page.getByLabel("Sign-in name").fill("viewer-of-" + job);
        user.page.getByLabel("Your name, as others read it").fill("Ines Quay");
        user.page.getByLabel("Password").fill("looking on only");
        user.press("Make an account and join");
        assertThat(user.row("L1")).containsText("10.44.8.21");
        user.open(job, "addresses");
        assertThat(user.row("L1").getByRole(AriaRole.BUTTON)).hasCount(0);
        assertThat(user.button("Undo")).hasCount(0);
        assertThat(user.page.getByText("Your role in this job is to look on")).isVisible();
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press("1");
        assertThat(user.page.getByRole(AriaRole.ALERT))
                .containsText("Your role in this job is viewer");
        user.open(job, "people");
        assertThat(user.row("Ines Quay (you)")).hasCount(0);
        assertThat(user.row("Ines Quay")).containsText("viewer");

        user.press("Ines Quay");
        user.page.getByText("Change password …").click();
        user.page.getByLabel("Present password").fill("looking on only");
        user.page.getByLabel("New password").fill("short");
        user.press("Change it");
        assertThat(user.page.getByRole(AriaRole.DIALOG)).containsText("password needs 10");
        user.page.getByLabel("New password").fill("another long one");
        user.press("Change it");
        assertThat(user.page.getByText("Everywhere else you are signed out")).isVisible();
        user.press("Close");
        user.press("Ines Quay");
        user.page.getByText("Sign out everywhere").click();
        assertThat(user.button("Sign in")).isVisible();
        user.page.navigate(link);
        assertThat(user.page.getByText("This invitation is not valid")).isVisible();
    }

    @Test
    void theLogbookIsWrittenReadAndFiltered() {
        long job = user.freshJob();
        user.setAddress(job, "L1", "10.44.8.21", "10.44.8.41");
        user.open(job, "logbook");
        user.page
                .getByLabel("What should the next technician know?")
                .fill("Ladder at the north door");
        user.page
                .getByLabel("Photo")
                .setInputFiles(Path.of("..", "docs", "screenshots", "jobs.png"));
        user.press("Write it");
        Locator note = user.page.locator("[data-log=note]");
        assertThat(note).containsText("Ladder at the north door");
        assertThat(note.locator("img")).isVisible();
        assertThat(user.page.locator("[data-log=change]")).containsText("10.44.8.21 to 10.44.8.41");
        user.page.getByLabel("Device").click();
        user.page
                .getByRole(
                        AriaRole.OPTION, new Page.GetByRoleOptions().setName("L1").setExact(true))
                .click();
        assertThat(note).hasCount(0);
        assertThat(user.page.locator("[data-log=change]")).hasCount(1);
        user.press("Show all");
        assertThat(note).isVisible();
    }

    @Test
    void aFindingIsWaivedAndTheJumpBoxLeadsThere() {
        user.open(user.freshJob(), "");
        user.page.keyboard().press("Control+k");
        user.page.getByLabel("Jump to").fill("10.44.8.33");
        user.page.keyboard().press("Enter");
        assertThat(user.row("L4")).hasAttribute("data-pointed", "");
        user.page.keyboard().press(",");
        assertThat(user.row("L3")).hasAttribute("data-pointed", "");
        user.press("Waive ADDR-TAKEN");
        user.page.getByLabel("Why it may stand").fill("That computer goes on Friday");
        user.press("Waive it");
        Locator waived = user.page.locator("aside [data-waived]");
        assertThat(waived).containsText("Asha Lindqvist: That computer goes on Friday");
        assertThat(user.row("L4")).not().containsText("ADDR-TAKEN");
        user.press("Undo");
        assertThat(waived).hasCount(0);
        user.page.keyboard().press("?");
        assertThat(user.page.getByRole(AriaRole.DIALOG)).containsText("previous and next line");
    }
}
