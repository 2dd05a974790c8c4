package app.jerboa.bench;

import java.io.IOException;
import java.util.Locale;

/**
 * What lies between a hand and a head, each beside its floor in the same run; with many desks
 * first, so that single messages are measured on a server that has driven before.
 */
final class DeskRows {
    private static final int TURNS = 5;
    private static final int MESSAGES = 250;
    private static final int SECONDS = 30;
    private static final int STOPS = 10;
    private static final int DRIVING_SECONDS = 10;

    private final WireRows.Rows to;
    private final DeskBench bench;

    private DeskRows(WireRows.Rows to, DeskBench bench) {
        this.to = to;
        this.bench = bench;
    }

    static void print(WireRows.Rows to) throws IOException, InterruptedException {
        try (DeskBench bench = new DeskBench()) {
            DeskRows rows = new DeskRows(to, bench);
            rows.many();
            rows.one();
            rows.page();
            rows.stops();
        }
    }

    private void many() throws IOException, InterruptedException {
        DeskBench.Many floor = bench.bareFiftyHertz(SECONDS);
        to.row(
                "100 bare sockets at 50 Hz for 30 s, later than 20 ms, %",
                floor.late(), "desk.barelate", "the floor: " + words(floor.millis()));
        DeskBench.Many many = bench.fiftyHertz(SECONDS);
        to.row(
                "100 desks at 50 Hz for 30 s, median ms",
                many.millis().median(),
                "desk.many",
                words(many.millis()));
        to.row(
                "of these later than 20 ms or lost, %",
                many.late(), "desk.late", many.lost() + " lost; wanted under 0.1");
        to.row("the server's CPU meanwhile, % of a core", many.cpu(), "desk.cpu", "");
        to.row("its memory, MB", many.megabytes(), "desk.memory", "");
    }

    private static String words(Sample millis) {
        return String.format(
                Locale.ROOT,
                "median %.1f, p99 %.1f ms, %d frames",
                millis.median(),
                millis.p99(),
                millis.millis().size());
    }

    private void one() throws IOException {
        OneDesk.Times one = bench.one(TURNS, MESSAGES);
        Sample bare = one.bare();
        Sample endpoint = one.endpoint();
        Sample stick = one.stick();
        to.row("bare socket to UDP, median ms", bare.median(), "desk.bare", "no container at all");
        to.row("the same, p99 ms", bare.p99(), "desk.bare99", "");
        to.row(
                "bare WebSocket of the same container to UDP, median ms",
                endpoint.median(),
                "desk.endpoint",
                "the floor");
        to.row("the same, p99 ms", endpoint.p99(), "desk.endpoint99", "");
        to.row(
                "stick message to UDP frame, median ms",
                stick.median(),
                "desk.stick",
                String.format(
                        Locale.ROOT,
                        "%.2f times the floor, wanted 1.5; %.2f times a bare socket",
                        stick.median() / endpoint.median(),
                        stick.median() / bare.median()));
        to.row("the same, p99 ms", stick.p99(), "desk.stick99", "wanted under 5");
    }

    private void page() {
        DeskBench.Trace trace = bench.page(DRIVING_SECONDS);
        to.row(
                "page of 128 keys, 10 moving: longest task ms",
                trace.longest(),
                "desk.task",
                trace.tasks() + " over 50 ms in " + DRIVING_SECONDS + " s; wanted none");
    }

    private void stops() {
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
    }
}
