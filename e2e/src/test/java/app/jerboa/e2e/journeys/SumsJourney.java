package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** The calculators alone, from any page. */
class SumsJourney extends Jerboa {
    @Test
    void aRunIsWorkedOutWhileItIsTyped() {
        user.open(user.freshJob(), "addresses");
        user.press("Sums");
        Locator sums = user.page.getByLabel("Sums", new Page.GetByLabelOptions().setExact(true));
        assertThat(sums).containsText("● works");
        sums.getByLabel("Length, m").fill("100");
        assertThat(sums).containsText("45.13 V");
        sums.getByLabel("Length, m").fill("400");
        assertThat(sums).containsText("▲ does not work");
        sums.getByLabel("Length, m").fill("-1");
        assertThat(sums).containsText("it must be 0 to 10000");
        sums.getByLabel("Which sum").click();
        user.page
                .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Coax length"))
                .click();
        assertThat(sums).containsText("76.7 m");
        assertThat(sums).containsText("Receiver makes up for 20 dB");
    }
}
