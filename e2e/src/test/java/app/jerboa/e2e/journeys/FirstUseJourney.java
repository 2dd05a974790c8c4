package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** An installation nobody has used yet asks for its first account, and only for that one. */
class FirstUseJourney {
    @Test
    void theFirstAccountLeadsToAFirstJob() {
        try (Programs programs = new Programs(false);
                BrowserUser user = new BrowserUser(programs)) {
            user.withMotion();
            user.page.navigate(programs.url("/jobs"));
            user.page.getByLabel("Sign-in name").fill("tomas");
            user.page.getByLabel("Your name, as others read it").fill("Tomas Okoro");
            user.page.getByLabel("Password").fill("short");
            user.page.getByLabel("Code for the first account").fill(Programs.FIRST_CODE);
            user.press("Make the account");
            assertThat(user.page.getByRole(AriaRole.ALERT)).containsText("password needs 10");
            user.page.getByLabel("Password").fill("long enough for this");
            user.page.getByLabel("Code for the first account").fill("a guess");
            user.press("Make the account");
            assertThat(user.page.getByRole(AriaRole.ALERT)).containsText("not the code");
            user.page.getByLabel("Code for the first account").fill(Programs.FIRST_CODE);
            user.press("Make the account");
            assertThat(user.page.getByText("You have no job at hand")).isVisible();
            user.press("From the demo");
            assertThat(user.row("L4")).containsText("▲ stop");
            user.press("Tomas Okoro");
            user.page.getByText("Sign out", new Page.GetByTextOptions().setExact(true)).click();
            user.page.getByLabel("Sign-in name").fill("tomas");
            user.page.getByLabel("Password").fill("wrong");
            user.press("Sign in");
            assertThat(user.page.getByRole(AriaRole.ALERT)).containsText("do not go together");
            user.page.getByLabel("Password").fill("long enough for this");
            user.press("Sign in");
            assertThat(
                            user.page.getByRole(
                                    AriaRole.HEADING, new Page.GetByRoleOptions().setName("Jobs")))
                    .isVisible();
        }
    }
}
