package app.jerboa.e2e.journeys;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
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
}
