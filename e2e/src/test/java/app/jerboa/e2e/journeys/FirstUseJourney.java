package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.jerboa.e2e.harness.Desk;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** An installation nobody has used yet asks for its first account, and only for that one. */
class FirstUseJourney {
    @Test
    void theFirstAccountLeadsToAFirstJob() {
        try (Programs programs = new Programs(false);
                Desk desk = new Desk(programs)) {
            desk.page.navigate(programs.url("/jobs"));
            desk.page.getByLabel("Sign-in name").fill("tomas");
            desk.page.getByLabel("Your name, as others read it").fill("Tomas Okoro");
            desk.page.getByLabel("Password").fill("short");
            desk.page.getByLabel("Code for the first account").fill(Programs.FIRST_CODE);
            desk.press("Make the account");
            assertThat(desk.page.getByRole(AriaRole.ALERT)).containsText("password needs 10");
            desk.page.getByLabel("Password").fill("long enough for this");
            desk.page.getByLabel("Code for the first account").fill("a guess");
            desk.press("Make the account");
            assertThat(desk.page.getByRole(AriaRole.ALERT)).containsText("not the code");
            desk.page.getByLabel("Code for the first account").fill(Programs.FIRST_CODE);
            desk.press("Make the account");
            assertThat(desk.page.getByText("You have no job at hand")).isVisible();
            desk.press("From the demo");
            assertThat(desk.row("L4")).containsText("▲ stop");
            desk.press("Tomas Okoro");
            desk.page.getByText("Sign out", new Page.GetByTextOptions().setExact(true)).click();
            desk.page.getByLabel("Sign-in name").fill("tomas");
            desk.page.getByLabel("Password").fill("wrong");
            desk.press("Sign in");
            assertThat(desk.page.getByRole(AriaRole.ALERT)).containsText("do not go together");
            desk.page.getByLabel("Password").fill("long enough for this");
            desk.press("Sign in");
            assertThat(
                            desk.page.getByRole(
                                    AriaRole.HEADING, new Page.GetByRoleOptions().setName("Jobs")))
                    .isVisible();
        }
    }
}
