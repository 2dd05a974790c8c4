package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
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
        user.openJobs();
        user.row("Quillhaven Curling Hall").first().getByRole(AriaRole.LINK).click();
        for (int line = 1; line <= 4; line++) {
            Locator row = user.row("L" + line);
            assertThat(row).containsText("Ceiling PTZ 20x, PoE");
            assertThat(row).containsText(line + " IP stick");
            assertThat(row).containsText("stopped");
        }
        assertThat(user.row("L4")).containsText("▲ stop");
        user.page.keyboard().press("]");
        assertThat(heading("Site")).isVisible();
    }

    private static Locator heading(String name) {
        return user.page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator finding(String code) {
        return user.page.locator("aside [data-code=" + code + "]");
    }

    @Test
    void oneFixClearsBothFindingsAndUndoBringsThemBack() {
        long job = user.freshJob();
        user.open(job, "addresses");
        assertThat(finding("ADDR-TAKEN")).containsText("score computers");
        assertThat(finding("ADDR-GAP")).containsText("key 4 looks at 10.44.8.24");
        assertThat(finding("ADDR-GAP")).containsText("The same fix as for ADDR-TAKEN");
        finding("ADDR-GAP").getByText("Move L4 to 10.44.8.24").click();
        Locator preview = user.page.getByRole(AriaRole.DIALOG);
        assertThat(preview).containsText("in use by score computers");
        assertThat(user.row("L4")).containsText("10.44.8.33");
        user.press("Apply");
        assertThat(user.row("L4")).containsText("10.44.8.24");
        assertThat(finding("ADDR-TAKEN")).hasCount(0);
        assertThat(finding("ADDR-GAP")).hasCount(0);
        user.page.keyboard().press("Control+z");
        assertThat(user.row("L4")).containsText("10.44.8.33");
        assertThat(finding("ADDR-GAP")).isVisible();
        user.page.reload();
        user.press("Redo");
        assertThat(user.row("L4")).containsText("10.44.8.24");
        assertThat(user.page.locator("footer")).containsText("Done again");
    }

    private static Locator input(String name) {
        return user.page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void anAddressOfTheHouseIsNotedCorrectedTakenBackAndRemoved() {
        user.open(user.freshJob(), "site");
        input("From").fill("10.44.8.40");
        input("Whose").fill("ice machine");
        user.press("Add");
        Locator noted = user.row("10.44.8.40");
        assertThat(noted).containsText("taken by others");
        assertThat(noted).containsText("ice machine");
        assertThat(input("From")).hasValue("");
        noted.getByLabel("Holder of 10.44.8.40").click();
        user.page.keyboard().press("Control+a");
        user.page.keyboard().type("ice plant");
        user.page.keyboard().press("Enter");
        assertThat(noted).not().containsText("ice machine");
        assertThat(noted).containsText("ice plant");
        user.page.keyboard().press("Control+z");
        assertThat(noted).containsText("ice machine");
        user.press("Remove 10.44.8.40");
        assertThat(noted).hasCount(0);
        assertThat(user.row("10.44.8.30")).containsText("score computers");
    }

    @Test
    void badAddressesShowInPlace() {
        user.open(user.freshJob(), "addresses");
        String[][] cases = {
            {"10.44.9.7", "ADDR-OUTSIDE"}, {"10.44.8.22", "ADDR-DUP"}, {"10.44.8.120", "ADDR-POOL"},
            {"10.44.8.0", "ADDR-OUTSIDE"}, {"10.44.8.255", "ADDR-OUTSIDE"}, {"", "ADDR-NONE"}
        };
        for (String[] c : cases) {
            type("L1", c[0]);
            assertThat(finding(c[1])).isVisible();
            assertThat(user.row("L1")).containsText(c[1]);
        }
        user.row("L2").getByRole(AriaRole.BUTTON).first().click();
        user.page.getByLabel("Address of L2").fill("10.44.8.2x");
        user.page.keyboard().press("Enter");
        assertThat(user.row("L2")).containsText("nothing may follow the fourth number");
        assertThat(user.page.getByLabel("Address of L2")).hasValue("10.44.8.2x");
        user.page.keyboard().press("Escape");
        assertThat(user.row("L2")).containsText("10.44.8.22");
    }

    private static void type(String device, String address) {
        user.row(device).getByRole(AriaRole.BUTTON).first().click();
        user.page.getByLabel("Address of " + device).fill(address);
        user.page.keyboard().press("Enter");
        assertThat(user.row(device)).containsText(address.isEmpty() ? "none" : address);
    }

    @Test
    void rePlanningShowsWhoMovesFirst() {
        user.open(user.freshJob(), "addresses");
        user.press("Re-plan …");
        assertThat(user.page.getByRole(AriaRole.DIALOG))
                .containsText("L4, its address may not be used");
        user.press("Apply");
        user.press("Re-plan …");
        assertThat(user.page.getByText("The plan stands")).isVisible();
    }

    @Test
    void theSheetDownloads() throws IOException {
        user.open(user.freshJob(), "addresses");
        Download sheet =
                user.page.waitForDownload(
                        () ->
                                user.page
                                        .getByRole(
                                                AriaRole.LINK,
                                                new Page.GetByRoleOptions().setName("Sheet as CSV"))
                                        .click());
        assertThat(sheet.suggestedFilename()).isEqualTo("Quillhaven-Curling-Hall-addresses.csv");
        assertThat(Files.readString(sheet.path())).contains("L4,L4,camera").contains("10.44.8.33");
    }

    @Test
    void somebodyElsesChangeIsAConflictWithBothValues() {
        long job = user.freshJob();
        user.open(job, "addresses");
        user.row("L3").getByRole(AriaRole.BUTTON).first().click();
        user.setAddress(job, "L3", "10.44.8.23", "10.44.8.43");
        user.page.getByLabel("Address of L3").fill("10.44.8.44");
        user.page.keyboard().press("Enter");
        Locator choice = user.page.getByRole(AriaRole.ALERTDIALOG);
        assertThat(choice).containsText("10.44.8.43");
        assertThat(choice).containsText("10.44.8.44");
        user.button("Put mine 10.44.8.44").click();
        assertThat(user.row("L3")).containsText("10.44.8.44/24");
    }

    @Test
    void duskAndDayAreKept() {
        user.openJobs();
        user.press("Dusk");
        assertThat(user.page.locator("body")).hasCSS("background-color", "rgb(20, 24, 28)");
        user.page.reload();
        assertThat(user.page.locator("body")).hasCSS("background-color", "rgb(20, 24, 28)");
    }
}
