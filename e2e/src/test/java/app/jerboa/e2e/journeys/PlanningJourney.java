package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;

/** Jobs, Line-up and Addresses: the fault left in, its fix, undo, bad addresses, the sheet. */
class PlanningJourney extends Jerboa {
    @Test
    void fromTheJobsToTheLineUp() {
        desk.row("Quillhaven Curling Hall").first().getByRole(AriaRole.LINK).click();
        for (int line = 1; line <= 4; line++) {
            Locator row = desk.row("L" + line);
            assertThat(row).containsText("Ceiling PTZ 20x, PoE");
            assertThat(row).containsText(line + " IP stick");
            assertThat(row).containsText("planned");
        }
        assertThat(desk.row("L4")).containsText("▲ stop");
        desk.page.keyboard().press("]");
        assertThat(heading("Site")).isVisible();
    }

    private static Locator heading(String name) {
        return desk.page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator finding(String code) {
        return desk.page.locator("aside [data-code=" + code + "]");
    }

    @Test
    void oneFixClearsBothFindingsAndUndoBringsThemBack() {
        long job = desk.freshJob();
        desk.open(job, "addresses");
        assertThat(finding("ADDR-TAKEN")).containsText("score computers");
        assertThat(finding("ADDR-GAP")).containsText("key 4 looks at 10.44.8.24");
        assertThat(finding("ADDR-GAP")).containsText("The same fix as for ADDR-TAKEN");
        finding("ADDR-GAP").getByText("Move L4 to 10.44.8.24").click();
        Locator preview = desk.page.getByRole(AriaRole.DIALOG);
        assertThat(preview).containsText("in use by score computers");
        assertThat(desk.row("L4")).containsText("10.44.8.33");
        desk.press("Apply");
        assertThat(desk.row("L4")).containsText("10.44.8.24");
        assertThat(finding("ADDR-TAKEN")).hasCount(0);
        assertThat(finding("ADDR-GAP")).hasCount(0);
        desk.page.keyboard().press("Control+z");
        assertThat(desk.row("L4")).containsText("10.44.8.33");
        assertThat(finding("ADDR-GAP")).isVisible();
        desk.page.reload();
        desk.press("Redo");
        assertThat(desk.row("L4")).containsText("10.44.8.24");
        assertThat(desk.page.locator("footer")).containsText("Done again");
    }

    @Test
    void badAddressesShowInPlace() {
        desk.open(desk.freshJob(), "addresses");
        String[][] cases = {
            {"10.44.9.7", "ADDR-OUTSIDE"}, {"10.44.8.22", "ADDR-DUP"}, {"10.44.8.120", "ADDR-POOL"},
            {"10.44.8.0", "ADDR-OUTSIDE"}, {"10.44.8.255", "ADDR-OUTSIDE"}, {"", "ADDR-NONE"}
        };
        for (String[] c : cases) {
            type("L1", c[0]);
            assertThat(finding(c[1])).isVisible();
            assertThat(desk.row("L1")).containsText(c[1]);
        }
        desk.row("L2").getByRole(AriaRole.BUTTON).first().click();
        desk.page.getByLabel("Address of L2").fill("10.44.8.2x");
        desk.page.keyboard().press("Enter");
        assertThat(desk.row("L2")).containsText("nothing may follow the fourth number");
        assertThat(desk.page.getByLabel("Address of L2")).hasValue("10.44.8.2x");
        desk.page.keyboard().press("Escape");
        assertThat(desk.row("L2")).containsText("10.44.8.22");
    }

    private static void type(String device, String address) {
        desk.row(device).getByRole(AriaRole.BUTTON).first().click();
        desk.page.getByLabel("Address of " + device).fill(address);
        desk.page.keyboard().press("Enter");
        assertThat(desk.row(device)).containsText(address.isEmpty() ? "none" : address);
    }

    @Test
    void rePlanningShowsWhoMovesFirst() {
        desk.open(desk.freshJob(), "addresses");
        desk.press("Re-plan …");
        assertThat(desk.page.getByRole(AriaRole.DIALOG))
                .containsText("L4, its address may not be used");
        desk.press("Apply");
        desk.press("Re-plan …");
        assertThat(desk.page.getByText("The plan stands")).isVisible();
    }

    @Test
    void theSheetDownloads() throws IOException {
        desk.open(desk.freshJob(), "addresses");
        Download sheet =
                desk.page.waitForDownload(
                        () ->
                                desk.page
                                        .getByRole(
                                                AriaRole.LINK,
                                                new Page.GetByRoleOptions().setName("Sheet as CSV"))
                                        .click());
        assertThat(sheet.suggestedFilename()).isEqualTo("Quillhaven-Curling-Hall-addresses.csv");
        assertThat(Files.readString(sheet.path())).contains("L4,L4,camera").contains("10.44.8.33");
    }

    @Test
    void somebodyElsesChangeIsAConflictWithBothValues() {
        long job = desk.freshJob();
        desk.open(job, "addresses");
        desk.row("L3").getByRole(AriaRole.BUTTON).first().click();
        desk.setAddress(job, "L3", "10.44.8.23", "10.44.8.43");
        desk.page.getByLabel("Address of L3").fill("10.44.8.44");
        desk.page.keyboard().press("Enter");
        Locator choice = desk.page.getByRole(AriaRole.ALERTDIALOG);
        assertThat(choice).containsText("10.44.8.43");
        assertThat(choice).containsText("10.44.8.44");
        desk.button("Put mine 10.44.8.44").click();
        assertThat(desk.row("L3")).containsText("10.44.8.44/24");
    }

    @Test
    void duskAndDayAreKept() {
        desk.press("Dusk");
        assertThat(desk.page.locator("body")).hasCSS("background-color", "rgb(20, 24, 28)");
        desk.page.reload();
        assertThat(desk.page.locator("body")).hasCSS("background-color", "rgb(20, 24, 28)");
    }
}
