package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestWatcher;
import tools.jackson.databind.JsonNode;

/** Four cameras that were brought up, driven from the page and looked at past the server. */
@ExtendWith(DeskHall.AnotherHallAfterAFailure.class)
abstract class DeskHall extends Jerboa {
    /** Another class may have put a hall of its own here. */
    protected static long job;

    /** That all classes of one process have together. */
    private static long fourCameras;

    @BeforeAll
    static void fourCamerasAgain() {
        job = fourCameras;
    }

    /**
     * What a journey that failed left behind costs none of those after it, nor its own second try.
     */
    static final class AnotherHallAfterAFailure implements TestWatcher {
        @Override
        public void testFailed(ExtensionContext context, Throwable cause) {
            job = 0;
            fourCameras = 0;
        }
    }

    protected static void openDesk() {
        if (job == 0) {
            job = user.broughtUpJob();
            fourCameras = job;
        }
        programs.speed(1);
        user.open(job, "desk");
        assertThat(
                        user.page.getByRole(
                                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cameras")))
                .isVisible();
    }

    protected static void take(int key) {
        user.page.keyboard().press("" + key);
        assertThat(
                        user.page.getByRole(
                                AriaRole.BUTTON, new Page.GetByRoleOptions().setPressed(true)))
                .containsText("L" + key);
        assertThat(reading("Pan")).isVisible();
    }

    protected static Locator reading(String name) {
        return user.page.locator("[data-reading=" + name + "]");
    }

    /** What the rig says of a camera, past the server. */
    protected static JsonNode head(int camera) {
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        return hall.get("devices").get(camera - 1).get("head");
    }

    /** Its number in the job. */
    protected static String id(int camera) {
        JsonNode hall = BrowserUser.json(programs.rig("GET", "/halls/" + job, ""));
        return hall.get("devices").get(camera - 1).get("id").asString();
    }

    protected static boolean moves(int camera) {
        JsonNode head = head(camera);
        return head.get("panSpeed").asDouble() != 0
                || head.get("tiltSpeed").asDouble() != 0
                || head.get("zoomSpeed").asDouble() != 0;
    }

    protected static void awaitStanding(int camera) {
        await().atMost(Duration.ofSeconds(5))
                .pollInterval(Duration.ofMillis(20))
                .until(() -> !moves(camera));
    }

    /** Holds a key until the head moves, and goes on holding it. */
    protected static void pushing(String key, int camera) {
        pushingUntil(Push.of(key), () -> moves(camera));
    }

    protected static void awaitTrue(Callable<Boolean> condition) {
        await().atMost(Duration.ofSeconds(5)).pollInterval(Duration.ofMillis(20)).until(condition);
    }

    /**
     * Kills the server while a head moves; the page says so. Where the page missed a beat just
     * before, the head stood already: then it is pushed anew.
     */
    protected static void killServerWhileItMoves(int camera, Runnable push) {
        for (int tries = 1; ; tries++) {
            push.run();
            programs.killServer();
            assertThat(user.page.getByText("The desk has lost the server")).isVisible();
            if (moves(camera)) {
                return;
            }
            programs.startServer();
            if (tries == 4) {
                throw new AssertionError("L" + camera + " never moved when the server was killed");
            }
            assertThat(reading("Pan")).isVisible();
        }
    }
}
