package app.jerboa.bench;

import java.io.IOException;
import java.util.Locale;

/** What lies between a hand and a head, each beside its floor in the same run. */
final class DeskRows {
    private static final int MESSAGES = 1_000;
    private static final int SECONDS = 30;
    private static final int STOPS = 10;
    private static final int DRIVING_SECONDS = 10;

    private DeskRows() {}

    static void print(WireRows.Rows to) throws IOException, InterruptedException {
        try (DeskBench bench = new DeskBench()) {
            Sample bare = bench.bare(MESSAGES);
            Sample stick = bench.stickToFrame(MESSAGES);
            to.row("bare WebSocket to UDP, median ms", bare.median(), "desk.bare", "the floor");
            to.row("the same, p99 ms", bare.p99(), "desk.bare99", "");
            to.row(
                    "stick message to UDP frame, median ms",
                    stick.median(),
                    "desk.stick",
                    String.format(
                            Locale.ROOT,
                            "%.2f times the floor, wanted 1.5",
                            stick.median() / bare.median()));
            to.row("the same, p99 ms", stick.p99(), "desk.stick99", "wanted under 5");
            DeskBench.Trace trace = bench.page(DRIVING_SECONDS);
            to.row(
                    "page of 128 keys, 10 moving: longest task ms",
                    trace.longest(),
                    "desk.task",
                    trace.tasks() + " over 50 ms in " + DRIVING_SECONDS + " s; wanted none");
            for (boolean there : new boolean[] {false, true}) {
                Sample stops = bench.stopAll(STOPS, there);
                to.row(
                        "STOP ALL, last of 100 heads"
                                + (there ? ", from another server" : "")
                                + ", median ms",
                        stops.median(),
                        there ? "desk.stopthere" : "desk.stophere",
                        String.format(Locale.ROOT, "worst of %d: %.0f ms", STOPS, stops.worst()));
            }
            DeskBench.Many many = bench.fiftyHertz(SECONDS);
            to.row(
                    "100 desks at 50 Hz for 30 s, median ms",
                    many.millis().median(),
                    "desk.many",
                    String.format(
                            Locale.ROOT,
                            "p99 %.1f ms, %d frames",
                            many.millis().p99(),
                            many.millis().millis().size()));
            to.row(
                    "of these later than 20 ms or lost, %",
                    many.late(), "desk.late", many.lost() + " lost; wanted under 0.1");
            to.row("the server's CPU meanwhile, % of a core", many.cpu(), "desk.cpu", "");
            to.row("its memory, MB", many.megabytes(), "desk.memory", "");
        }
    }
}
