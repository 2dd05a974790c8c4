package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import org.awaitility.core.ConditionTimeoutException;
import org.junit.jupiter.api.Test;

/** What is said before a head moves, and how it answers each person's hand. */
class DeskFeelJourney extends DeskHall {
    private static double speed(int camera, String axis) {
        return head(camera).get(axis + "Speed").asDouble();
    }

    /** Nobody said clear, then it is on air: each is asked before it moves, and says so. */
    @Test
    void aHeadMovesOnlyAfterClearAndOnAirOnlyWhenItMay() {
        openDesk();
        user.clear(job, false);
        take(4);
        Locator asked = user.page.getByLabel("Before it moves");
        assertThat(asked).containsText("Is the place of L4 clear?");
        user.page.keyboard().down("ArrowRight");
        assertThat(asked).containsText("Not moved.");
        user.page.keyboard().up("ArrowRight");
        assertThat(moves(4)).isFalse();
        user.press("Clear at L4");
        assertThat(asked).isHidden();
        push(4);

        user.press("Put on air");
        assertThat(user.page.getByLabel("Cameras")).containsText("on air");
        assertThat(asked).containsText("L4 is on air");
        user.page.keyboard().down("ArrowLeft");
        assertThat(asked).containsText("Not moved: L4 is on air");
        user.page.keyboard().up("ArrowLeft");
        assertThat(moves(4)).isFalse();
        user.press("Let it move on air");
        push(4);
        user.press("Take off air");
        assertThat(user.page.getByLabel("Cameras")).not().containsText("on air");
        user.clear(job, true);
    }

    private static void push(int camera) {
        pushUntil("ArrowLeft", () -> moves(camera));
        awaitStanding(camera);
    }

    /** What a person sets is in force at once, and there again when the page is opened anew. */
    @Test
    void howItAnswersIsKeptForThePerson() {
        openDesk();
        user.send("DELETE", "/api/jobs/" + job + "/desk/feels/ceiling-ptz", "");
        openDesk();
        take(2);
        assertThat(user.page.getByLabel("How it answers")).containsText("as the house likes it");
        user.page.getByLabel("Bend of the law").focus();
        for (int i = 0; i < 6; i++) {
            user.page.keyboard().press("ArrowLeft");
        }
        assertThat(user.page.getByText("Linear law")).isVisible();
        assertThat(moves(2)).as("arrows move the slider, no head").isFalse();
        openDesk();
        take(2);
        assertThat(user.page.getByLabel("How it answers")).containsText("0: linear");
        user.press("As the house likes it");
        assertThat(user.page.getByText("Progressive law, k = 3")).isVisible();
    }

    /** A pad that the browser would tell of, as this page sees it. */
    private static final String EMULATED =
            """
            () => {
              const pad = {
                id: 'Two sticks', index: 0, connected: true,
                axes: [0, 0, 0, 0], buttons: Array.from({ length: 12 }, () => ({ pressed: false })),
              }
              window.pad = pad
              navigator.getGamepads = () => [pad.connected ? pad : null]
              window.dispatchEvent(new Event('gamepadconnected'))
            }
            """;

    private static void axis(int axis, double to) {
        user.page.evaluate("([a, v]) => (window.pad.axes[a] = v)", List.of(axis, to));
    }

    private static void press(int button, boolean down) {
        user.page.evaluate(
                "([b, d]) => (window.pad.buttons[b].pressed = d)", List.of(button, down));
    }

    /** An axis of the pad until the head turns that way; it is left so. */
    private static void pushing(int axis, int by, String along) {
        Push push = new Push("axis " + axis, () -> axis(axis, by), () -> axis(axis, 0));
        pushingUntil(push, () -> speed(1, along) > 0);
    }

    @Test
    void aGamePadDrivesWhatItIsMappedToAndIsAReleaseWhenItVanishes() {
        openDesk();
        take(1);
        user.page.evaluate(EMULATED);
        Locator panel = user.page.getByLabel("Game pad");
        assertThat(panel).containsText("Two sticks");
        pushing(0, 1, "pan");
        axis(0, 0);
        awaitStanding(1);

        panel.getByText("Tilt: axis 2").click();
        axis(2, -1);
        assertThat(panel).containsText("Tilt: axis 3, turned");
        axis(2, 0);
        panel.getByText("Hold this push:").click();
        press(7, true);
        assertThat(panel).containsText("Hold this push: button 8");
        press(7, false);

        user.page.getByLabel("A knob or verb of L1 on the pad").click();
        user.page
                .getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName("detail, one up").setExact(true))
                .click();
        press(8, true);
        assertThat(panel).containsText("detail, one up: button 9, take off");
        press(8, false);

        openDesk();
        take(1);
        user.page.evaluate(EMULATED);
        assertThat(panel).containsText("Tilt: axis 3, turned");
        Locator detail = user.page.getByLabel("detail of L1, typed");
        assertThat(detail).isEnabled();
        int before = Integer.parseInt(detail.inputValue());
        press(8, true);
        assertThat(detail).hasValue("" + (before + 1));
        press(8, false);
        pushing(2, -1, "tilt");
        user.page.evaluate(
                "() => { window.pad.connected = false;"
                        + " window.dispatchEvent(new Event('gamepaddisconnected')) }");
        awaitStanding(1);
    }

    /** Without a hand on it the head goes on, and says where that ends; a STOP ALL ends it. */
    @Test
    void aPushIsHeldUntilSomebodyStopsIt() {
        openDesk();
        take(3);
        hold(3, "ArrowRight", "At its limit in");
        goesOn(3, "ArrowRight");
        user.page.keyboard().press("Escape");
        awaitStanding(3);
        assertThat(user.page.getByText("Hold this push (h)")).isVisible();

        hold(3, "ArrowLeft");
        goesOn(3, "ArrowLeft");
        user.page.evaluate("() => window.dispatchEvent(new Event('blur'))");
        awaitStanding(3);
    }

    /** By more than a degree; anew where the page missed a beat, so that the head was stopped. */
    private static void goesOn(int camera, String key) {
        for (int tries = 1; ; tries++) {
            double before = head(camera).get("pan").asDouble();
            boolean[] gone = new boolean[1];
            await().atMost(Duration.ofSeconds(10))
                    .pollInSameThread()
                    .until(
                            () -> {
                                double now = head(camera).get("pan").asDouble();
                                gone[0] = Math.abs(now - before) > 1;
                                return gone[0] || !moves(camera);
                            });
            if (gone[0]) {
                return;
            }
            assertThat(tries).as("holds of L" + camera).isLessThan(4);
            hold(camera, key);
        }
    }

    /** What is held without a hand lives by its page and its server, as a hand's push does. */
    @Test
    void aHeldPushStopsWithAHungPageAndWithAKilledServer() {
        openDesk();
        take(2);
        hold(2, "ArrowRight");
        user.page.evaluate(
                "() => { const end = Date.now() + 2500; setTimeout(() => { while (Date.now() < end) {} }, 0) }");
        await().atMost(Duration.ofMillis(1500))
                .pollInterval(Duration.ofMillis(20))
                .until(() -> !moves(2));
        assertThat(user.page.getByText("standing still (the stick went silent)")).isVisible();
        // Nobody is there to stop it.
        killServerWhileItMoves(2, () -> hold(2, "ArrowRight"));
        programs.startServer();
        await().atMost(Duration.ofSeconds(15)).until(() -> !moves(2));
    }

    private static boolean movesSoon(int camera) {
        try {
            await().atMost(Duration.ofSeconds(2))
                    .pollInterval(Duration.ofMillis(20))
                    .until(() -> moves(camera));
            return true;
        } catch (ConditionTimeoutException stopped) {
            return false;
        }
    }

    /** On a busy machine the page may miss its beats before it is held: then it is pushed anew. */
    private static void hold(int camera, String key) {
        hold(camera, key, "");
    }

    /**
     * @param says what stands beside its speed
     */
    private static void hold(int camera, String key, String says) {
        Locator steady =
                user.page
                        .getByText("Steady at")
                        .filter(new Locator.FilterOptions().setHasText(says));
        await().atMost(Duration.ofSeconds(20))
                .until(
                        () -> {
                            user.page.keyboard().down(key);
                            if (!movesSoon(camera)) {
                                user.page.keyboard().up(key);
                                return false;
                            }
                            user.page.keyboard().press("h");
                            user.page.keyboard().up(key);
                            return BrowserUser.appears(steady, 1_000);
                        });
    }

    /** A head comes to the limit that its driver set, and not past it; the way back is free. */
    @Test
    void aSoftLimitIsSetWhereItPointsAndKept() {
        openDesk();
        take(4);
        Locator soft = user.page.getByLabel("Soft limits");
        user.page.getByLabel("Soft limit right here").click();
        assertThat(soft).containsText("Soft limits: right");
        double at = head(4).get("pan").asDouble();
        user.page.keyboard().down("ArrowRight");
        assertThat(user.page.getByText("It is at a soft limit on that side")).isVisible();
        user.page.keyboard().up("ArrowRight");
        pushUntil("ArrowLeft", () -> head(4).get("pan").asDouble() < at - 8);
        awaitStanding(4);
        pushUntil(
                "ArrowRight",
                () -> user.page.getByText("standing still (its soft limit)").count() > 0);
        assertThat(head(4).get("pan").asDouble()).isBetween(at - 2, at + 0.3);
        soft.getByText("None").click();
        assertThat(soft).containsText("No soft limits");
    }

    /**
     * Which way a stick turns is said at the camera or at the desk; the other one is refused then.
     */
    @Test
    void whichWayItTurnsIsSetAtOnePlaceOnly() {
        openDesk();
        take(3);
        Locator turned = user.page.getByLabel("Which way it turns");
        Locator mounting = user.page.getByLabel("mounting of L3", EXACT);
        Locator panRound = turned.getByText("Pan round");
        assertThat(turned).containsText("mounting is from the ceiling, so it turns nothing round");
        choose(mounting, "on a table");
        assertThat(turned).containsText("mounting is on a table, so it turns pan and tilt round");
        assertThat(panRound).isDisabled();
        double before = head(3).get("pan").asDouble();
        pushUntil("ArrowRight", () -> head(3).get("pan").asDouble() < before - 2);
        awaitStanding(3);
        choose(mounting, "from the ceiling");
        assertThat(turned).containsText("turns nothing round");
        panRound.click();
        assertThat(turned).containsText("Stick right → head left");
        choose(mounting, "on a table");
        assertThat(user.page.getByText("Set the desk back first")).isVisible();
        assertThat(turned).containsText("turns nothing round");
        panRound.click();
        assertThat(turned).containsText("Stick right → head right");
    }

    private static final Page.GetByLabelOptions EXACT = new Page.GetByLabelOptions().setExact(true);

    /** From one marked place to the other: the rig says how near it came. */
    @Test
    void aSteadyMoveArrivesWhereItWasMarked() {
        openDesk();
        take(4);
        user.press("Mark A here");
        double from = head(4).get("pan").asDouble();
        pushUntil("ArrowRight", () -> head(4).get("pan").asDouble() > from + 5);
        awaitStanding(4);
        user.press("Mark B here");
        user.page.getByLabel("In seconds").fill("3");
        goTo("A");
        assertThat(head(4).get("pan").asDouble()).isCloseTo(from, within(0.2));

        user.page.getByLabel("In seconds").fill("0.01");
        user.press("Go to B");
        assertThat(user.page.getByRole(AriaRole.ALERT)).containsText("L4 needs at least 0.");
    }

    /** A machine that is busy with other journeys may keep the page from its beat: it goes anew. */
    private static void goTo(String place) {
        Locator ended =
                user.page.getByText(
                        Pattern.compile("standing still \\((arrived|the stick went silent)\\)"));
        for (int tries = 0; tries < 5; tries++) {
            user.press("Go to " + place);
            assertThat(ended).isVisible();
            if (ended.innerText().contains("arrived")) {
                return;
            }
        }
        throw new AssertionError("it never arrived");
    }
}
