package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Locator;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Views of three cameras, a shot list that cannot be made, its mending, and the list while run. */
class ShotJourney extends DeskHall {
    private static final String[] VIEWS = {"l1 wide", "l1 rings", "l3 wide", "l2 wide", "l3 rings"};

    /** Where each camera stood when it stored, by {@code camera.number}. */
    private static final Map<String, Double> STORED = new HashMap<>();

    private static double pan(int camera) {
        return head(camera).get("pan").asDouble();
    }

    /** Two views each, 15 degrees and more apart. */
    private static void sixViews() {
        openDesk();
        for (int camera = 1; camera <= 3; camera++) {
            take(camera);
            store(camera, 0, "wide");
            int driven = camera;
            double from = pan(camera);
            pushUntil("ArrowRight", () -> Math.abs(pan(driven) - from) > 15);
            awaitStanding(camera);
            store(camera, 1, "rings");
        }
    }

    private static void store(int camera, int number, String name) {
        long device = user.device(job, "L" + camera);
        user.send(
                "POST",
                "/api/jobs/" + job + "/presets/" + device + "/" + number,
                "{\"name\":\"" + name + "\",\"note\":\"\"}");
        STORED.put(camera + "." + number, pan(camera));
    }

    private static JsonNode run() {
        return user.send("GET", "/api/jobs/" + job + "/shot-lists/run", "");
    }

    private static Locator bar() {
        return user.page.locator("[data-run=running]");
    }

    @Test
    void aListIsLaidOutByKeyboardMendedAndRun() {
        job = user.broughtUpJob();
        sixViews();
        user.open(job, "shots");
        assertThat(user.page.getByText("No shot list yet.")).isVisible();
        CountedActions actions = new CountedActions(user);
        actions.click("New list …");
        actions.type("First end");
        actions.press("Enter");
        Locator view = user.page.getByLabel("View of the next take");
        actions.click(view);
        for (int take = 0; take < 20; take++) {
            actions.type(VIEWS[take % VIEWS.length]);
            actions.press("Enter");
            actions.type("6");
            actions.press("Enter");
            assertThat(user.page.locator("[data-row='Take " + (take + 1) + "']")).isVisible();
            assertThat(view).isFocused();
        }
        System.out.println("20 takes: " + actions.all() + " actions");
        assertThat(actions.all()).as("clicks, fields and keys").isLessThanOrEqualTo(90);

        // Right behind its own take L1 would move while it is on air: four times.
        assertThat(user.page.getByText("4 takes cannot be made as planned.")).isVisible();
        user.button("Take the offered change …").first().click();
        user.press("Apply");
        assertThat(user.page.getByText("Every camera has its time.")).isVisible();
        takesMoveTogether();
        theListIsRun();
        stopAllEndsIt();
    }

    private static void takesMoveTogether() {
        user.page.getByLabel("From take").selectOption("2");
        user.press("takes 2 to 20 later");
        Locator second = user.page.locator("[data-row='Take 2']");
        assertThat(second).containsText("0:08");
        user.press("earlier");
        assertThat(second).containsText("0:06");
    }

    private static void begin() {
        user.press("Run …");
        assertThat(user.page.getByText("move by themselves")).isVisible();
        assertThat(user.button("Send the cameras")).isDisabled();
        user.page.getByText("said “clear”").click();
        user.press("Send the cameras");
    }

    private static void theListIsRun() {
        begin();
        assertThat(bar()).containsText("nothing yet");
        for (int take = 1; take <= 4; take++) {
            awaitSent();
            user.page.keyboard().press("n");
            assertThat(bar().locator("b").first()).containsText(take + " · ");
            awaitSent();
            insistOnPlaces();
        }
        user.page.keyboard().press("s");
        assertThat(bar().locator("b").nth(1)).containsText("6 · ");
        user.page.keyboard().press("b");
        assertThat(bar().locator("b").nth(1)).containsText("5 · ");
        user.press("End");
        assertThat(bar()).hasCount(0);
    }

    /** What has time was sent, and stands where its view was stored; what is on air stands too. */
    private static void awaitSent() {
        // The server looks at the list every 150 ms.
        await().atMost(Duration.ofSeconds(20))
                .during(Duration.ofMillis(600))
                .until(() -> !run().get("cameras").toString().matches(".*(waits|travels).*"));
    }

    private static void insistOnPlaces() {
        JsonNode run = run();
        for (JsonNode sent : run.get("cameras")) {
            String camera = sent.get("camera").asString().substring(1);
            String number = sent.get("words").asString().contains("preset 0") ? "0" : "1";
            assertThat(sent.get("state").asString()).as(sent.toString()).isEqualTo("there");
            assertThat(pan(Integer.parseInt(camera)))
                    .as(sent.toString())
                    .isCloseTo(STORED.get(camera + "." + number), within(0.3));
            assertThat(sent.get("device")).isNotEqualTo(run.get("onAirDevice"));
        }
    }

    /** A camera that was driven off its view is sent there anew, and stopped on its way. */
    private static void stopAllEndsIt() {
        user.page.getByText("off air").click();
        assertThat(user.page.getByText("still marked on air")).hasCount(0);
        openDesk();
        take(3);
        double from = pan(3);
        pushUntil("ArrowRight", () -> Math.abs(pan(3) - from) > 80);
        awaitStanding(3);
        user.open(job, "shots");
        double away = pan(3);
        begin();
        awaitTrue(() -> Math.abs(pan(3) - away) > 0.5);
        assertThat(bar()).isVisible();
        user.page.keyboard().press("Escape");
        awaitStanding(3);
        assertThat(user.page.getByText("was stopped: STOP ALL")).isVisible();
        assertThat(Math.abs(pan(3) - STORED.get("3.0"))).isGreaterThan(1);
    }
}
