package app.jerboa.e2e.journeys;

import app.jerboa.e2e.harness.Desk;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/** One running Jerboa for all journeys; each journey makes a job of its own. */
abstract class Jerboa {
    protected static Programs programs;
    protected static Desk desk;

    /** The programs that all journeys share; whoever kills a server starts it again. */
    static Programs shared() {
        if (programs == null) {
            programs = new Programs(true);
            Runtime.getRuntime().addShutdownHook(new Thread(programs::close));
        }
        return programs;
    }

    @BeforeAll
    static void start() {
        desk = new Desk(shared());
    }

    @BeforeEach
    void signIn() {
        desk.sitDown(ColorScheme.LIGHT, 1280, 800);
        desk.signIn();
    }

    @AfterAll
    static void leave() {
        desk.close();
    }
}
