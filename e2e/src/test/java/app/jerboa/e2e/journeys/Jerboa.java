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

    @BeforeAll
    static void start() {
        if (programs == null) {
            programs = new Programs(true);
            Runtime.getRuntime().addShutdownHook(new Thread(programs::close));
        }
        desk = new Desk(programs);
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
