package app.jerboa.bench;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;

/** The cabling drawing of many halls, in a browser without a GPU. */
final class DrawingBench implements AutoCloseable {
    private static final int KEYS = 20;

    private final Programs programs = new Programs(true);
    private final BrowserUser desk = new BrowserUser(programs);
    private final long job;

    /**
     * @param shown from going to the page until the drawing takes keys
     * @param marked from an arrow key until the next run is marked
     */
    record Times(Sample shown, Sample marked) {}

    DrawingBench(int halls) {
        desk.signIn();
        job = desk.send("POST", "/api/jobs/file", LargeJob.cabled(halls)).get("id").asLong();
    }

    Times measure(int rounds) {
        double[] shown = new double[rounds];
        double[] marked = new double[rounds * KEYS];
        for (int i = 0; i < rounds; i++) {
            desk.open(job, "");
            desk.row("L1").first().waitFor();
            double asked = System.nanoTime();
            desk.page.getByText("Cabling").first().click();
            Locator last =
                    desk.page
                            .locator("svg text", new Page.LocatorOptions().setHasText("Mixer 20"))
                            .last();
            last.waitFor();
            Locator drawing = desk.page.getByLabel("Drawing; arrow keys");
            drawing.focus();
            desk.page.keyboard().press("ArrowDown");
            desk.page.locator("[data-marked]").first().waitFor();
            shown[i] = (System.nanoTime() - asked) / 1e6;
            for (int k = 0; k < KEYS; k++) {
                double pressed = System.nanoTime();
                desk.page.keyboard().press("ArrowDown");
                desk.page.evaluate("() => new Promise(done => requestAnimationFrame(done))");
                marked[i * KEYS + k] = (System.nanoTime() - pressed) / 1e6;
            }
        }
        return new Times(Sample.of(shown), Sample.of(marked));
    }

    @Override
    public void close() {
        desk.close();
        programs.close();
    }
}
