package app.jerboa.bench;

import java.util.Locale;

/** How truly views come back, and what pictures cost. */
final class ViewRows {
    private static final int VIEWS = 20;
    private static final int SECONDS = 10;

    private ViewRows() {}

    static void print(WireRows.Rows to) throws InterruptedException {
        try (ViewBench bench = new ViewBench()) {
            ViewBench.Errors errors = bench.repeat(VIEWS);
            to.row(
                    "stored, driven away, recalled: off by at most, degrees",
                    errors.degrees(),
                    "view.degrees",
                    errors.views() + " views");
            to.row("the same, zoom counts of 16384", errors.zoom(), "view.zoom", "");
            for (int cameras : new int[] {1, 8}) {
                ViewBench.Pictures p = bench.pictures(cameras, SECONDS);
                to.row(
                        cameras + " cameras at 5 frames a second: frames a second",
                        p.frames(),
                        "view.frames" + cameras,
                        String.format(
                                Locale.ROOT,
                                "median %.0f ms, p95 %.0f",
                                p.millis().median(),
                                p.millis().p95()));
                to.row(
                        "the server's CPU meanwhile, % of a core",
                        p.server(), "view.server" + cameras, "wanted under 50 with 8");
                to.row(
                        "the rig's, which draws them, % of a core",
                        p.rig(), "view.rig" + cameras, "");
            }
        }
    }
}
