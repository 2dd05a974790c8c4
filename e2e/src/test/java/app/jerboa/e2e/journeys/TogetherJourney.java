package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two people, two browsers, two server processes, one database. */
class TogetherJourney {
    private static Programs.Server second;
    private static BrowserUser asha;
    private static BrowserUser tomas;
    private long job;

    @BeforeAll
    static void start() {
        Programs programs = Jerboa.shared();
        second = programs.another();
        asha = new BrowserUser(programs);
        asha.signIn();
        tomas = new BrowserUser(programs, second::url);
        tomas.signIn("tomas");
    }

    @AfterAll
    static void leave() {
        asha.close();
        tomas.close();
        second.kill();
    }

    @BeforeEach
    void oneJobOpenAtBoth() {
        asha.offline(false);
        job = asha.freshJob();
        asha.letIn(job, "technician", tomas);
        asha.open(job, "addresses");
        tomas.open(job, "addresses");
    }

    private static void type(BrowserUser user, String device, String address) {
        user.row(device).getByRole(AriaRole.BUTTON).first().click();
        user.page.getByLabel("Address of " + device).fill(address);
        user.page.keyboard().press("Enter");
        // The row becomes lower with the answer: what is clicked next must not move meanwhile.
        assertThat(user.page.locator("input[aria-label='Address of " + device + "']")).hasCount(0);
    }

    private static Locator others(BrowserUser user) {
        return user.page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Also here"));
    }

    @Test
    void eachSeesTheOtherAndWhatTheyDo() {
        assertThat(others(asha)).containsText("Tomas Addresses");
        assertThat(others(tomas)).containsText("Asha Addresses");
        type(tomas, "L1", "10.44.8.41");
        assertThat(asha.row("L1")).containsText("10.44.8.41/24");
        assertThat(asha.page.locator("footer")).containsText("Tomas Okoro: L1: address");
        tomas.open(job, "logbook");
        assertThat(others(asha)).containsText("Tomas Logbook");
        asha.page.keyboard().press("]");
        assertThat(others(tomas)).containsText("Asha Bring-up");
    }

    /**
     * Both change one field; both values stand there until one is chosen; each then takes back
     * their own.
     */
    @Test
    void oneConflictOneUndoEachNothingLost() {
        asha.row("L2").getByRole(AriaRole.BUTTON).first().click();
        asha.page.getByLabel("Address of L2").fill("10.44.8.62");
        type(tomas, "L2", "10.44.8.52");
        type(tomas, "L3", "10.44.8.53");
        assertThat(asha.row("L3")).containsText("10.44.8.53/24");
        asha.page.keyboard().press("Enter");
        Locator choice = asha.page.getByRole(AriaRole.ALERTDIALOG);
        assertThat(choice).containsText("10.44.8.52");
        asha.press("Put mine 10.44.8.62");
        assertThat(tomas.row("L2")).containsText("10.44.8.62/24");
        tomas.press("Undo");
        assertThat(asha.row("L3")).containsText("10.44.8.23/24");
        tomas.press("Undo");
        assertThat(tomas.page.locator("footer"))
                .containsText("was changed since by Asha Lindqvist");
        asha.press("Undo");
        assertThat(tomas.row("L2")).containsText("10.44.8.52/24");
    }

    @Test
    void withoutTheNetworkWhatIsTypedIsKeptAndSentLater() {
        asha.offline(true);
        assertThat(asha.page.locator("footer")).containsText("The server does not answer");
        type(asha, "L1", "10.44.8.71");
        type(asha, "L2", "10.44.8.72");
        assertThat(asha.row("L1")).containsText("kept here, not sent yet");
        assertThat(asha.page.locator("footer")).containsText("2 changes are kept in this browser");
        type(tomas, "L2", "10.44.8.52");
        asha.offline(false);
        assertThat(tomas.row("L1")).containsText("10.44.8.71/24");
        assertThat(asha.page.getByRole(AriaRole.ALERTDIALOG)).containsText("10.44.8.52");
        asha.press("Keep theirs 10.44.8.52");
        assertThat(asha.row("L2")).containsText("10.44.8.52/24");
        assertThat(asha.page.locator("footer")).not().containsText("kept in this browser");
    }

    /** Once a position is read back the desk's line is open. */
    private static void take(BrowserUser user, String key) {
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        user.page.keyboard().press(key);
        assertThat(user.page.locator("[data-reading=Pan]")).isVisible();
    }

    /**
     * On a busy machine a page may miss its beats; then it is stopped, rightly, and pushed anew.
     */
    private static void holdUntilItMoves(BrowserUser user) {
        await().atMost(Duration.ofSeconds(30))
                .until(
                        () -> {
                            user.page.keyboard().up("ArrowRight");
                            user.page.keyboard().down("ArrowRight");
                            Locator pan = user.page.locator("[data-reading=Pan]");
                            return BrowserUser.appears(
                                            pan.filter(
                                                    new Locator.FilterOptions()
                                                            .setHasText(
                                                                    Pattern.compile(
                                                                            "Pan\\s+[1-9]"))),
                                            1_500)
                                    && user.page.getByText("Stopped and seen").count() == 0;
                        });
    }

    /** A stop pressed at one server stops what is driven at the other. */
    @Test
    void stopAllCrossesServers() {
        long up = asha.broughtUpJob();
        asha.letIn(up, "operator", tomas);
        asha.open(up, "desk");
        tomas.open(up, "desk");
        take(asha, "1");
        take(tomas, "2");
        holdUntilItMoves(asha);
        tomas.page.keyboard().press("Space");
        assertThat(asha.page.getByText("Stopped and seen standing still (STOP ALL)")).isVisible();
        asha.page.keyboard().up("ArrowRight");
        tomas.page.keyboard().press("1");
        assertThat(tomas.page.getByText("Asha Lindqvist is driving it at another desk"))
                .isVisible();
    }
}
