package app.jerboa.e2e.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.Desk;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Driving: the right camera moves the right way, and stops whatever happens to the desk. */
class DeskJourney extends Jerboa {
    private static long job;

    private static void openDesk() {
        if (job == 0) {
            job = desk.broughtUpJob();
        }
        programs.speed(1);
        desk.open(job, "desk");
        assertThat(
                        desk.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
    }

    private static void take(int key) {
        desk.page.keyboard().press("" + key);
        assertThat(
                        desk.page.getByRole(
                                AriaRole.BUTTON, new Page.GetByRoleOptions().setPressed(true)))
                .containsText("L" + key);
        assertThat(reading("Pan")).isVisible();
    }

    private static Locator reading(String name) {
        return desk.page.locator("[data-reading=" + name + "]");
    }

    /** What the rig says of a camera, past the server. */
    private static JsonNode head(int camera) {
        JsonNode hall = Desk.json(programs.rig("GET", "/halls/" + job, ""));
        return hall.get("devices").get(camera - 1).get("head");
    }

    private static boolean moves(int camera) {
        JsonNode head = head(camera);
        return head.get("panSpeed").asDouble() != 0
                || head.get("tiltSpeed").asDouble() != 0
                || head.get("zoomSpeed").asDouble() != 0;
    }

    private static void awaitStanding(int camera) {
        await().atMost(Duration.ofSeconds(5))
                .pollInterval(Duration.ofMillis(20))
                .until(() -> !moves(camera));
    }

    private static void awaitMoving(int camera) {
        await().atMost(Duration.ofSeconds(5))
                .pollInterval(Duration.ofMillis(20))
                .until(() -> moves(camera));
    }

    @Test
    void keysDriveTheCameraThatWasTakenAndReleaseStopsIt() {
        openDesk();
        take(2);
        double before = head(2).get("pan").asDouble();
        desk.page.keyboard().down("ArrowRight");
        desk.page.keyboard().down("ArrowUp");
        awaitMoving(2);
        assertThat(moves(1)).isFalse();
        desk.page.waitForTimeout(300);
        desk.page.keyboard().up("ArrowRight");
        desk.page.keyboard().up("ArrowUp");
        awaitStanding(2);
        assertThat(head(2).get("pan").asDouble()).isGreaterThan(before);
        assertThat(head(2).get("tilt").asDouble()).isPositive();
        assertThat(desk.page.getByText("Stopped and seen standing still (released)")).isVisible();
        assertThat(reading("Tilt")).not().containsText("0.0°");
        assertThat(desk.page.getByLabel("Wire log")).containsText("drive pan");
    }

    @Test
    void plusAndMinusZoom() {
        openDesk();
        take(3);
        desk.page.keyboard().down("+");
        awaitMoving(3);
        desk.page.waitForTimeout(400);
        desk.page.keyboard().up("+");
        awaitStanding(3);
        double zoom = head(3).get("zoom").asDouble();
        assertThat(zoom).isPositive();
        assertThat(reading("Zoom")).not().containsText("%0 counts");
        desk.page.keyboard().down("-");
        awaitMoving(3);
        desk.page.keyboard().up("-");
        awaitStanding(3);
        assertThat(head(3).get("zoom").asDouble()).isLessThan(zoom);
    }

    @Test
    void theSurfaceDrivesAndSpringsBack() {
        openDesk();
        desk.page
                .getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("L1")))
                .first()
                .click();
        assertThat(reading("Pan")).isVisible();
        double before = head(1).get("pan").asDouble();
        BoundingBox box = desk.page.getByRole(AriaRole.APPLICATION).boundingBox();
        desk.page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        desk.page.mouse().down();
        desk.page.mouse().move(box.x + 30, box.y + box.height / 2);
        awaitMoving(1);
        desk.page.waitForTimeout(200);
        desk.page.mouse().up();
        awaitStanding(1);
        assertThat(head(1).get("pan").asDouble()).isLessThan(before);
    }

    @Test
    void spaceStopsAllAndTheStickMustCentreFirst() {
        openDesk();
        take(4);
        desk.page.keyboard().down("ArrowLeft");
        awaitMoving(4);
        desk.page.keyboard().press(" ");
        awaitStanding(4);
        desk.page.waitForTimeout(400);
        assertThat(moves(4)).as("the key is still held, and yet").isFalse();
        desk.page.keyboard().up("ArrowLeft");
        desk.page.keyboard().down("ArrowRight");
        awaitMoving(4);
        desk.page.keyboard().press("Escape");
        awaitStanding(4);
        desk.page.keyboard().up("ArrowRight");
    }

    @Test
    void aDeadTabStopsIt() {
        openDesk();
        take(1);
        desk.page.keyboard().down("ArrowRight");
        awaitMoving(1);
        desk.page.close();
        awaitStanding(1);
    }

    @Test
    void aHungTabStopsIt() {
        openDesk();
        take(1);
        desk.page.keyboard().down("ArrowLeft");
        awaitMoving(1);
        // The page hangs with its line still open: only the missing beat tells.
        desk.page.evaluate(
                "() => { const end = Date.now() + 2500; setTimeout(() => { while (Date.now() < end) {} }, 0) }");
        await().atMost(Duration.ofMillis(1500))
                .pollInterval(Duration.ofMillis(20))
                .until(() -> !moves(1));
    }

    @Test
    void aKilledServerStopsWhatMovedWhenItIsBack() {
        openDesk();
        take(2);
        desk.page.keyboard().down("ArrowLeft");
        awaitMoving(2);
        programs.killServer();
        assertThat(desk.page.getByText("The desk has lost the server")).isVisible();
        desk.page.keyboard().up("ArrowLeft");
        programs.startServer();
        await().atMost(Duration.ofSeconds(15)).until(() -> !moves(2));
        // The line comes back by itself, with the camera that was taken.
        assertThat(reading("Pan")).isVisible();
    }

    @Test
    void aCameraSomebodyElseDrivesIsRefused() {
        openDesk();
        take(3);
        Page other = desk.page.context().newPage();
        other.navigate(programs.url("/jobs/" + job + "/desk"));
        assertThat(other.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
        other.keyboard().press("3");
        assertThat(other.getByRole(AriaRole.ALERT)).containsText("is driving it at another desk");
        other.close();
    }

    @Test
    void anUnreachableCameraSaysWhy() {
        openDesk();
        programs.rig(
                "PUT",
                "/halls/" + job + "/laptop",
                "{\"address\":\"192.168.77.250\",\"prefix\":24,\"gateway\":\"\"}");
        desk.page.keyboard().press("1");
        assertThat(desk.page.getByRole(AriaRole.ALERT).first())
                .containsText("This laptop is in another subnet");
        programs.rig(
                "PUT",
                "/halls/" + job + "/laptop",
                "{\"address\":\"10.44.8.81\",\"prefix\":24,\"gateway\":\"\"}");
    }
}
