package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Bringing four cameras up against the rig, with everything that goes wrong on the way. */
class BringUpJourney extends Jerboa {
    private static final String CHECK = "Done, check it";
    private static final String NOW = "Check it now";

    private static Locator step(String kind) {
        return user.page.locator("[data-step=" + kind + "]");
    }

    private static final int HANDS_MILLIS = 5_000;
    private static final Pattern NUMBER = Pattern.compile("Step (\\d+) of");

    /**
     * Does the step's hand work in the rig, if it has any. What Jerboa sees by itself is waited
     * for; what only a person can know is ticked.
     */
    private static void carryOut(int number) {
        // The card of the step before may still stand there, and this one may tick itself.
        await().atMost(Duration.ofSeconds(20)).until(() -> here() >= number);
        if (here() > number) {
            return;
        }
        handsOf(number);
        await().atMost(Duration.ofSeconds(20))
                .pollInterval(Duration.ofMillis(100))
                .until(
                        () -> {
                            Locator tick = user.button(CHECK);
                            if (here() == number && tick.isVisible() && tick.isEnabled()) {
                                tick.click();
                            }
                            return here() != number;
                        });
    }

    /** Of this card only: it may tick itself on the way, and the next one has hands of its own. */
    private static void handsOf(int number) {
        Locator hands =
                user.page
                        .locator("[data-step]")
                        .filter(
                                new Locator.FilterOptions()
                                        .setHasText(Pattern.compile("Step " + number + " of")))
                        .locator("button:has-text('In the rig')");
        try {
            if (hands.count() > 0) {
                hands.click(new Locator.ClickOptions().setTimeout(HANDS_MILLIS));
            }
        } catch (TimeoutError gone) {
            assertThat(user.page.locator("[data-step]"))
                    .not()
                    .containsText("Step " + number + " of");
        }
    }

    /** By the method whose steps these journeys know, past what is set within reach. */
    private static void startByHopping() {
        user.page.getByLabel("Hop to each factory network").check();
        user.press("Start the bring-up");
        for (int n = 1; n <= 4; n++) {
            carryOut(n);
        }
    }

    /**
     * The number of the step on the card; 99 when there is none any more. Read at one moment: the
     * card may go while it is looked for.
     */
    private static int here() {
        String page = user.page.locator("main").innerText();
        if (page.contains("are at their planned addresses")) {
            return 99;
        }
        Matcher number = NUMBER.matcher(page);
        return number.find() ? Integer.parseInt(number.group(1)) : 0;
    }

    private static JsonNode hall(long job) {
        return BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
    }

    @Test
    void aFaultyPlanIsNotCarriedIntoTheCameras() {
        user.open(user.freshJob(), "bring-up");
        assertThat(user.button("Start the bring-up")).isDisabled();
        assertThat(user.page.getByRole(AriaRole.ALERT)).containsText("score computers");
    }

    @Test
    void clicksAreNotBelievedAndRivalsFight() {
        programs.speed(100);
        long job = user.fourCameras();
        user.open(job, "bring-up");
        startByHopping();
        user.press(NOW);
        assertThat(step("hop-out")).containsText("Not done: The laptop is on 10.44.8.81/24");
        carryOut(5);
        user.page.locator("[data-device=L2] button").click();
        assertThat(user.page.locator("[data-device=L2]")).containsText("running");
        user.page.locator("[data-step] button:has-text('In the rig')").click();
        user.press(NOW);
        assertThat(step("see")).isVisible();
        assertThat(user.page.locator("[data-device=L1]")).containsText("running");
        user.press(NOW);
        assertThat(step("see"))
                .containsText("L1 and L2 both answer at 192.168.77.10 and fight over it");
        user.page.locator("[data-device=L2] button").click();
        assertThat(user.page.locator("[data-device=L2]")).containsText("unplugged");
        carryOut(7);
        // The set step is ticked without anything being typed in; the restart step finds out.
        user.press(CHECK);
        assertThat(step("restart")).isVisible();
        user.press(NOW);
        assertThat(step("restart")).containsText("L1 still answers at 192.168.77.10");
    }

    /**
     * A lead that is said to be on the serial server, and is not, is found out by asking over it.
     */
    @Test
    void whatHangsOnALeadIsAskedOverIt() {
        programs.speed(100);
        long job = user.chain();
        user.open(job, "bring-up");
        startByHopping();
        int out = number(job, "lead-out");
        for (int n = 5; n < out; n++) {
            carryOut(n);
        }
        assertThat(step("lead-out")).containsText("Serial stick RS-232");
        user.press(CHECK);
        assertThat(step("ask")).containsText("Ask L10 over its control route");
        user.press("Ask it");
        assertThat(step("ask")).containsText("L10 does not answer: no answer");
        user.press("Give the cameras of its chain their numbers …");
        user.press("Number them now");
        assertThat(step("ask")).containsText("Nothing came back from the chain at Serial server");
        user.send(
                "PUT",
                "/api/jobs/" + job + "/rig/devices/" + user.device(job, "L10") + "/lead",
                "");
        // From then on no one presses: what answers ticks itself.
        assertThat(step("lead-home")).containsText("Put the lead of L10 back");
        carryOut(out + 3);
        carryOut(out + 4);
        assertThat(user.page.getByText("All 2 devices are at their planned addresses")).isVisible();
        assertThat(controls(job)).containsExactly("L11 ok", "L10 ok");
    }

    /** Newest first. */
    private static List<String> controls(long job) {
        List<String> controls = new ArrayList<>();
        String path = "/api/jobs/" + job + "/observations?what=control";
        for (JsonNode o : user.send("GET", path, "").get("observations")) {
            controls.add(o.get("device").asString() + " " + o.get("outcome").asString());
        }
        return controls;
    }

    private static int number(long job, String kind) {
        for (JsonNode s : user.send("GET", "/api/jobs/" + job + "/bring-up", "").get("steps")) {
            if (s.get("kind").asString().equals(kind)) {
                return s.get("number").asInt();
            }
        }
        throw new IllegalStateException("no step " + kind);
    }

    @Test
    void theWrongCameraIsNoticedByItsMac() {
        programs.speed(100);
        user.open(user.fourCameras(), "bring-up");
        startByHopping();
        carryOut(5);
        user.page.locator("[data-device=L3] button").click();
        assertThat(user.page.locator("[data-device=L3]")).containsText("running");
        user.press(NOW);
        assertThat(step("see")).isVisible();
        user.press(NOW);
        assertThat(step("see")).containsText("Another camera is connected. Swap it for L1");
    }

    @Test
    void fourCamerasWithAKilledServerAndAClosedBrowserInTheMiddle() {
        programs.speed(100);
        long job = user.fourCameras();
        user.open(job, "bring-up");
        startByHopping();
        for (int n = 5; n <= 11; n++) {
            carryOut(n);
        }
        assertThat(step("set")).containsText("Step 12 of 26");
        programs.killServer();
        user.press(CHECK);
        assertThat(step("set")).containsText("The server does not answer. What was stored is kept");
        programs.startServer();
        user.sitDown(ColorScheme.LIGHT, 1280, 800);
        user.signIn();
        user.open(job, "bring-up");
        assertThat(step("set")).containsText("Step 12 of 26");
        for (int n = 12; n <= 26; n++) {
            carryOut(n);
        }
        assertThat(user.page.getByText("All 4 devices are at their planned addresses")).isVisible();
        List<String> settled = new ArrayList<>();
        hall(job)
                .get("devices")
                .forEach(d -> settled.add(d.get("settings").get("address").asString()));
        assertThat(settled).containsExactly("10.44.8.21", "10.44.8.22", "10.44.8.23", "10.44.8.24");
        assertThat(hall(job).get("laptop").get("address").asString()).isEqualTo("10.44.8.81");
        user.open(job, "");
        assertThat(user.row("L3")).containsText("set");
    }
}
