package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Driving: the right camera moves the right way, and stops whatever happens to the user. */
class DeskJourney extends DeskHall {
    @Test
    void keysDriveTheCameraThatWasTakenAndReleaseStopsIt() {
        openDesk();
        take(2);
        double before = head(2).get("pan").asDouble();
        Push upAndRight =
                new Push(
                        "ArrowRight and ArrowUp",
                        () -> {
                            user.page.keyboard().down("ArrowRight");
                            user.page.keyboard().down("ArrowUp");
                        },
                        () -> {
                            user.page.keyboard().up("ArrowRight");
                            user.page.keyboard().up("ArrowUp");
                        });
        pushingUntil(
                upAndRight,
                () ->
                        head(2).get("pan").asDouble() > before + 0.5
                                && head(2).get("tilt").asDouble() > 0.5);
        assertThat(moves(1)).isFalse();
        assertThat(user.page.getByLabel("Wire log")).containsText("drive pan");
        upAndRight.letGo().run();
        awaitStanding(2);
        assertThat(head(2).get("pan").asDouble()).isGreaterThan(before);
        assertThat(head(2).get("tilt").asDouble()).isPositive();
        insistOnSeenStanding();
        assertThat(reading("Tilt")).not().containsText("0.0°");
    }

    @Test
    void plusAndMinusZoom() {
        openDesk();
        take(3);
        pushUntil("+", () -> head(3).get("zoom").asDouble() > 0.1);
        awaitStanding(3);
        double zoom = head(3).get("zoom").asDouble();
        assertThat(zoom).isPositive();
        assertThat(reading("Zoom")).not().containsText("%0 counts");
        pushing("-", 3);
        user.page.keyboard().up("-");
        awaitStanding(3);
        assertThat(head(3).get("zoom").asDouble()).isLessThan(zoom);
    }

    @Test
    void theSurfaceDrivesAndSpringsBack() {
        openDesk();
        user.page
                .getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("L1")))
                .first()
                .click();
        assertThat(reading("Pan")).isVisible();
        double before = head(1).get("pan").asDouble();
        BoundingBox box = user.page.getByRole(AriaRole.APPLICATION).boundingBox();
        Push left =
                new Push(
                        "the surface",
                        () -> {
                            user.page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
                            user.page.mouse().down();
                            user.page.mouse().move(box.x + 30, box.y + box.height / 2);
                        },
                        () -> user.page.mouse().up());
        pushingUntil(left, () -> head(1).get("pan").asDouble() < before - 0.5);
        left.letGo().run();
        awaitStanding(1);
        assertThat(head(1).get("pan").asDouble()).isLessThan(before);
    }

    @Test
    void spaceStopsAllAndTheStickMustCentreFirst() {
        openDesk();
        take(4);
        pushing("ArrowLeft", 4);
        user.page.keyboard().press(" ");
        awaitStanding(4);
        // Nothing tells that nothing happens: a held key would have been repeated eight times.
        await().during(Duration.ofMillis(400)).until(() -> !moves(4));
        user.page.keyboard().up("ArrowLeft");
        pushing("ArrowRight", 4);
        user.page.keyboard().press("Escape");
        awaitStanding(4);
        user.page.keyboard().up("ArrowRight");
    }

    @Test
    void aDeadTabStopsIt() {
        openDesk();
        take(1);
        pushing("ArrowRight", 1);
        user.page.close();
        awaitStanding(1);
    }

    @Test
    void aHungTabStopsIt() {
        openDesk();
        take(1);
        pushing("ArrowLeft", 1);
        // The page hangs with its line still open: only the missing beat tells.
        user.page.evaluate(
                "() => { const end = Date.now() + 2500; setTimeout(() => { while (Date.now() < end) {} }, 0) }");
        await().atMost(Duration.ofMillis(1500))
                .pollInterval(Duration.ofMillis(20))
                .until(() -> !moves(1));
    }

    @Test
    void aKilledServerStopsWhatMovedWhenItIsBack() {
        openDesk();
        take(2);
        killServerWhileItMoves(
                2,
                () -> {
                    user.page.keyboard().up("ArrowLeft");
                    pushing("ArrowLeft", 2);
                });
        user.page.keyboard().up("ArrowLeft");
        programs.startServer();
        await().atMost(Duration.ofSeconds(15)).until(() -> !moves(2));
        // The line comes back by itself, with the camera that was taken.
        assertThat(reading("Pan")).isVisible();
    }

    @Test
    void aCameraSomebodyElseDrivesIsRefused() {
        openDesk();
        take(3);
        Page other = user.page.context().newPage();
        other.navigate(programs.url("/jobs/" + job + "/desk"));
        assertThat(other.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        other.keyboard().press("3");
        assertThat(other.getByRole(AriaRole.ALERT)).containsText("is driving it at another desk");
        other.getByText("Take L3 over now").click();
        assertThat(user.page.getByText("took it over. It was stopped first.")).isVisible();
        assertThat(other.locator("[data-reading=Pan]")).isVisible();
        other.close();
    }

    /** Nobody drives it: that it has gone is seen on its key all the same. */
    @Test
    void aCameraThatHasGoneIsSeenOnItsKey() {
        openDesk();
        Locator keys =
                user.page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras"));
        assertThat(keys).not().containsText("no answer");
        plug(2, false);
        assertThat(keys.getByText("no answer")).hasCount(1, RING);
        plug(2, true);
        assertThat(keys.getByText("no answer")).hasCount(0, RING);
    }

    /** It is asked each ten seconds, and boots meanwhile. */
    private static final LocatorAssertions.HasCountOptions RING =
            new LocatorAssertions.HasCountOptions().setTimeout(40_000);

    private static void plug(int camera, boolean plugged) {
        // It boots in less than a second then.
        programs.speed(100);
        programs.rig(
                "PUT",
                "/halls/" + job + "/devices/" + id(camera) + "/plug",
                "{\"plugged\":" + plugged + "}");
    }

    @Test
    void anUnreachableCameraSaysWhy() {
        openDesk();
        programs.rig(
                "PUT",
                "/halls/" + job + "/laptop",
                "{\"address\":\"192.168.77.250\",\"prefix\":24,\"gateway\":\"\"}");
        user.page.keyboard().press("1");
        assertThat(user.page.getByRole(AriaRole.ALERT).first())
                .containsText("This laptop is in another subnet");
        programs.rig(
                "PUT",
                "/halls/" + job + "/laptop",
                "{\"address\":\"10.44.8.81\",\"prefix\":24,\"gateway\":\"\"}");
    }
}
