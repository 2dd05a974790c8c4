package app.jerboa.bench;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.Programs;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.WaitForSelectorState;

/** The Kit page with thousands of devices, in a browser without a GPU. */
final class KitBench implements AutoCloseable {
    private static final int SCROLLS = 60;
    private static final int OPENINGS = 9;
    private static final Locator.WaitForOptions GONE =
            new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED);

    private final Programs programs = new Programs(true);
    private final BrowserUser desk = new BrowserUser(programs);
    private final long job;

    /**
     * @param firstPaint from asking for the page until its first row is drawn, by the browser's
     *     clock; median of several, since a server that is up for a day is warm
     * @param longestTask that held the page's thread while it scrolled through everything; tasks
     *     under 50 ms are not reported by the browser and count as 0
     * @param longestFrame between two frames while it scrolled
     */
    record Times(double firstPaint, double longestTask, double longestFrame) {}

    KitBench(int devices) {
        desk.signIn();
        job = desk.send("POST", "/api/jobs/file", LargeJob.file(devices)).get("id").asLong();
    }

    Times openAndScroll() {
        desk.page.addInitScript(
                """
                new MutationObserver(() => { if (!window.firstRow && document.querySelector('tr[data-row=L1]')) requestAnimationFrame(() => { window.firstRow ??= performance.now() }) })
                  .observe(document, { childList: true, subtree: true })
                """);
        double[] drawn = new double[OPENINGS];
        for (int i = 0; i < OPENINGS; i++) {
            desk.open(job, "kit");
            desk.page.waitForFunction("() => window.firstRow");
            drawn[i] = number("window.firstRow");
        }
        double firstPaint = Sample.of(drawn).median();
        desk.page.waitForTimeout(1_000);
        desk.page.evaluate(
                """
                () => {
                  window.longest = 0; window.frame = 0; let last = performance.now();
                  new PerformanceObserver(l => l.getEntries().forEach(e => window.longest = Math.max(window.longest, e.duration))).observe({ entryTypes: ['longtask'] });
                  const tick = () => { const now = performance.now(); window.frame = Math.max(window.frame, now - last); last = now; requestAnimationFrame(tick) };
                  requestAnimationFrame(tick)
                }
                """);
        Locator sheet = desk.page.locator("[data-scrolls]");
        for (int i = 1; i <= SCROLLS; i++) {
            sheet.evaluate(
                    "(e, part) => e.scrollTo(0, part * e.scrollHeight)", (double) i / SCROLLS);
            desk.page.waitForTimeout(30);
        }
        return new Times(firstPaint, number("window.longest"), number("window.frame"));
    }

    private double number(String expression) {
        return ((Number) desk.page.evaluate("() => " + expression)).doubleValue();
    }

    /** From Enter in a cell until the page shows the new value as stored. */
    Sample edit(int rounds) {
        desk.page.locator("[data-scrolls]").evaluate("e => e.scrollTo(0, 0)");
        double[] millis = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            desk.page.getByLabel("Change: Firmware of L1").first().click();
            desk.page.keyboard().insertText("2." + i);
            double pressed = System.nanoTime();
            desk.page.keyboard().press("Enter");
            Locator shown = desk.row("L1").locator("button").getByText("2." + i);
            shown.waitFor();
            millis[i] = (System.nanoTime() - pressed) / 1e6;
            desk.press("Undo");
            shown.waitFor(GONE);
        }
        return Sample.of(millis);
    }

    /**
     * @param looked from the paste until every row's fate is shown
     * @param taken from "Add" until the page is there again
     */
    record Paste(double looked, double taken) {}

    Paste paste(int rows) {
        StringBuilder text = new StringBuilder("Name\tModel\tSerial\n");
        for (int i = 0; i < rows; i++) {
            text.append("Spare ").append(i).append("\tceiling-ptz\tSP-").append(i).append('\n');
        }
        double pasted = System.nanoTime();
        desk.page.evaluate(
                """
                text => {
                  const data = new DataTransfer(); data.setData('text/plain', text);
                  document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }))
                }
                """,
                text.toString());
        desk.button("Add " + rows).waitFor();
        double looked = System.nanoTime();
        desk.press("Add " + rows);
        desk.page.getByText("Kit from a list").waitFor(GONE);
        return new Paste((looked - pasted) / 1e6, (System.nanoTime() - looked) / 1e6);
    }

    @Override
    public void close() {
        desk.close();
        programs.close();
    }
}
