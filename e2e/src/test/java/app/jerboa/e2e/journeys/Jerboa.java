package app.jerboa.e2e.journeys;

import static app.jerboa.e2e.harness.Shown.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.regex.Pattern;
import org.awaitility.core.ConditionTimeoutException;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/** One running Jerboa and one browser for all journeys; each journey makes a job of its own. */
abstract class Jerboa {
    protected static Programs programs;
    protected static BrowserUser user;

    /** The programs that all journeys share; whoever kills a server starts it again. */
    static Programs shared() {
        if (programs == null) {
            programs = new Programs(true);
            Runtime.getRuntime().addShutdownHook(new Thread(programs::close));
        }
        return programs;
    }

    /** The browser of this process; a killed one is started again. */
    @BeforeAll
    static void start() {
        if (user == null || !user.alive()) {
            user = new BrowserUser(shared());
        }
    }

    /** One of the options of a field that offers some. */
    protected static void choose(Locator field, String option) {
        field.click();
        user.page
                .getByRole(
                        AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    @BeforeEach
    void signIn() {
        shared().serverIsThere();
        user.sitDown(ColorScheme.LIGHT, 1280, 800);
        user.signIn();
    }

    /**
     * Holds a key until something is so, and lets it go. On a busy machine the page may miss its
     * beats, or be stopped late for what was done before: then the head stands, rightly, and the
     * key is pressed anew.
     */
    protected static void pushUntil(String key, Callable<Boolean> so) {
        try {
            pushingUntil(Push.of(key), so);
        } finally {
            user.page.keyboard().up(key);
        }
    }

    /**
     * Something on the page that drives while it is held.
     *
     * @param called in the words of a failure
     */
    protected record Push(String called, Runnable begin, Runnable letGo) {
        static Push of(String key) {
            return new Push(
                    key, () -> user.page.keyboard().down(key), () -> user.page.keyboard().up(key));
        }

        static Push ofLever(String label) {
            return new Push(
                    label,
                    () -> {
                        user.page.getByLabel(label).hover();
                        user.page.mouse().down();
                    },
                    () -> user.page.mouse().up());
        }
    }

    /** As {@link #pushUntil}, and goes on pushing. */
    protected static void pushingUntil(Push push, Callable<Boolean> so) {
        push.begin().run();
        long[] pressed = {System.nanoTime()};
        try {
            await().atMost(Duration.ofSeconds(30))
                    .pollInterval(Duration.ofMillis(30))
                    .until(
                            () -> {
                                boolean silent =
                                        user.page.getByText("the stick went silent").count() > 0;
                                if (silent || System.nanoTime() - pressed[0] > PUSHED_NANOS) {
                                    push.letGo().run();
                                    push.begin().run();
                                    pressed[0] = System.nanoTime();
                                }
                                return so.call();
                            });
        } catch (ConditionTimeoutException e) {
            throw new AssertionError(
                    push.called()
                            + " did not do it; the page: "
                            + user.page.locator("main").innerText(),
                    e);
        }
    }

    /** A push that came to nothing in this time is begun anew. */
    private static final long PUSHED_NANOS = 3_000_000_000L;

    /** Let go, or stopped before since the page missed its beats: the head was seen to stand. */
    protected static void insistOnSeenStanding() {
        assertThat(
                        user.page.getByText(
                                Pattern.compile(
                                        "seen standing still \\((released|the stick went silent)\\)")))
                .isVisible();
    }
}
