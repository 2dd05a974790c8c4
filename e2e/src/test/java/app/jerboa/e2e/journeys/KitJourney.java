package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A job from nothing: the house from pasted print-outs, the kit by "how many of what". */
class KitJourney extends Jerboa {
    private static void add(String profile, String count) {
        Locator shelf = desk.page.locator("[data-profile=" + profile + "]");
        shelf.locator("input").fill(count);
        shelf.getByText("Add").click();
    }

    @Test
    void aHallFromNothing() {
        desk.press("New job …");
        desk.page.getByLabel("House network").fill("10.10.0.0/24");
        desk.page.getByLabel("Gateway").fill("10.10.0.254");
        desk.page
                .getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Name"))
                .fill("Hall from nothing");
        desk.press("Make it");
        assertThat(desk.page.getByText("Add cameras on the Kit page")).isVisible();

        desk.page.keyboard().press("]");
        desk.press("From this laptop’s print-out …");
        desk.page
                .getByLabel("Paste what ip addr, ifconfig or ipconfig prints on the laptop")
                .fill(
                        "inet 10.10.0.90/24 brd 10.10.0.255 scope global eth0\ndefault via 10.10.0.1 dev eth0");
        desk.button("Read it").first().click();
        desk.press("Use this network …");
        assertThat(desk.page.getByText("10.10.0.254").last()).isVisible();
        desk.press("Apply");
        desk.page
                .getByLabel("Paste what ip neigh or arp -a prints, or a list of leases")
                .fill(
                        "10.10.0.22 dev eth0 lladdr 02:11:22:33:44:55 STALE\n10.10.0.31 dev eth0 FAILED");
        desk.button("Read it").last().click();
        assertThat(desk.page.getByText("nobody answered there")).isVisible();
        desk.press("Note 1 as taken");
        assertThat(desk.page.getByLabel("House addresses")).containsText("10.10.0.22");

        desk.page.keyboard().press("]");
        add("ip-stick-8-counting", "1");
        assertThat(desk.row("IP stick")).isVisible();
        add("ceiling-ptz", "4");
        assertThat(desk.row("L4")).isVisible();
        desk.page.getByLabel("Change: MAC of L1").click();
        desk.page.getByLabel("MAC of L1").fill("02-4A-20-00-00-01");
        desk.page.keyboard().press("Enter");
        assertThat(desk.row("L1")).containsText("02:4a:20:00:00:01");
        desk.page.getByLabel("Remove L3").click();
        assertThat(desk.row("L3")).hasCount(0);
        desk.press("Undo");
        assertThat(desk.row("L3")).isVisible();

        desk.page.keyboard().press("]");
        assertThat(desk.row("L4")).containsText("10.10.0.26");
        assertThat(desk.page.locator("aside [data-code]")).hasCount(1);
    }
}
