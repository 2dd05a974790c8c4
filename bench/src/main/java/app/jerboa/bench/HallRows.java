package app.jerboa.bench;

import java.io.IOException;
import java.util.Locale;

/** What the simulated hall costs, and how fast a whole bring-up runs in it. */
final class HallRows {
    private HallRows() {}

    static void print(WireRows.Rows to) throws IOException, InterruptedException {
        try (HallBench bench = new HallBench()) {
            HallBench.Times t = bench.measure();
            to.row("hall of 200 devices at rest, % of one core", t.atRest(), "hall.rest", "");
            to.row("the same, memory, MB", t.megabytes(), "hall.memory", "");
            to.row(
                    "answer of one of its cameras, p99 ms",
                    t.answers().p99(),
                    "hall.answer",
                    String.format(
                            Locale.ROOT,
                            "%.1f times a bare echo",
                            t.answers().p99() / t.bare().p99()));
            to.row("the same, median ms", t.answers().median(), "hall.median", "");
            to.row("a bare echo, p99 ms", t.bare().p99(), "hall.echo", "floor");
        }
        try (BringUpBench bench = new BringUpBench()) {
            BringUpBench.Times t = bench.measure();
            to.row(
                    "the demo brought up by the card's hands, s",
                    t.seconds(),
                    "hall.bringup",
                    String.format(
                            Locale.ROOT,
                            "%d steps, %.0f minutes of its world; wanted under 20",
                            t.steps(),
                            t.minutes()));
        }
    }
}
