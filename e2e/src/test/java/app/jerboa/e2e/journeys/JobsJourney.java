package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Jobs as wholes: new, renamed, copied, out to a file and in again, put away and fetched back. */
class JobsJourney extends Jerboa {
    private static void menu(String job, String entry) {
        user.press("More for " + job);
        user.page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(entry)).click();
    }

    private static void read(String name, String content) {
        user.page
                .getByLabel("Job file")
                .setInputFiles(
                        new FilePayload(
                                name,
                                "application/json",
                                content.getBytes(StandardCharsets.UTF_8)));
    }

    private static Locator name() {
        return user.page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Name"));
    }

    private static Locator alert() {
        return user.page.getByRole(AriaRole.ALERT);
    }

    @BeforeEach
    void atTheJobs() {
        user.withMotion();
        user.openJobs();
    }

    @Test
    void fromNothingToAFileAndBack() throws IOException {
        user.press("New job …");
        name().fill("North chapel");
        user.page.getByLabel("House network").fill("10.10.0.0/31");
        user.page.getByLabel("Gateway").fill("10.10.0.254");
        user.press("Make it");
        assertThat(user.page.getByRole(AriaRole.DIALOG)).containsText("prefix is /8 to /30");
        user.page.getByLabel("House network").fill("10.10.0.0/24");
        user.press("Make it");
        assertThat(user.page.getByText("No lines yet")).isVisible();

        user.page.navigate(programs.url("/jobs"));
        menu("North chapel", "Rename …");
        name().fill("Chapel <north>");
        user.press("Rename");
        assertThat(user.page.getByRole(AriaRole.DIALOG)).containsText("no angle brackets");
        name().fill("Chapel");
        user.press("Rename");
        menu("Chapel", "Duplicate");
        assertThat(user.row("Chapel (copy)")).isVisible();

        user.press("More for Chapel");
        Locator export =
                user.page.getByRole(
                        AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Export as a file"));
        Download file = user.page.waitForDownload(export::click);
        assertThat(file.suggestedFilename()).isEqualTo("Chapel.jerboa.json");
        String content = Files.readString(file.path());
        for (String hostile :
                new String[] {
                    content.substring(0, content.length() / 2),
                    content.replace("\"id\" : 2", "\"id\" : 1"),
                    content.replace("\"Chapel\"", "\"<script>alert(1)</script>\"")
                }) {
            read("hostile.jerboa.json", hostile);
            assertThat(alert()).containsText("was not taken, and no job was made. At ");
        }
        read("chapel.jerboa.json", content);
        assertThat(user.page.getByText("No lines yet")).isVisible();
        assertThat(user.page.locator("header")).containsText("Chapel");
    }

    @Test
    void putAwayThrownAwayAndFetchedBack() {
        long job = user.freshJob();
        String path = "/api/jobs/" + job;
        long site = user.send("GET", path, "").get("site").get("id").asLong();
        user.send(
                "POST",
                path + "/changes",
                "{\"adds\":[],\"edits\":[{\"item\":\"site\",\"id\":"
                        + site
                        + ",\"field\":\"name\",\"before\":\"Quillhaven Curling Hall\",\"after\":\"Old hall\"}],\"removes\":[]}");
        user.page.reload();
        menu("Old hall", "Delete");
        assertThat(user.row("Old hall")).hasCount(0);
        user.press("Undo");
        assertThat(user.row("Old hall")).isVisible();
        menu("Old hall", "Archive");
        assertThat(user.row("Old hall")).hasCount(0);
        user.page.getByText("Show archived and deleted").click();
        assertThat(user.row("Old hall")).containsText("archived");
        menu("Old hall", "Delete");
        assertThat(user.row("Old hall")).containsText("deleted");
        user.row("Old hall").getByText("Fetch back").click();
        assertThat(user.row("Old hall")).containsText("archived");
    }
}
