package app.jerboa.bench;

import java.io.IOException;
import java.util.Locale;

/** What people wait for, each beside its floor in the same run. */
final class ServerRows {
    private static final int LARGE = 2_000;
    private static final int VERY_LARGE = 5_000;

    private final WireRows.Rows to;
    private final ServerBench bench;

    private ServerRows(WireRows.Rows to, ServerBench bench) {
        this.to = to;
        this.bench = bench;
    }

    static void print(WireRows.Rows to) throws IOException {
        try (ServerBench bench = new ServerBench()) {
            ServerRows rows = new ServerRows(to, bench);
            Sample opened = rows.opening();
            rows.editing(LARGE, "3");
            rows.editing(VERY_LARGE, "5");
            rows.inFlight();
            rows.unseen(opened);
            rows.seen();
        }
    }

    private static String times(double now, double floor) {
        return String.format(Locale.ROOT, "%.1f times", now / floor);
    }

    private Sample opening() throws IOException {
        Sample idle = bench.health(300);
        to.row(
                "a request that does nothing, median ms",
                idle.median(),
                "health.median",
                "the floor, same run");
        ServerBench.Opening large = bench.openLarge(LARGE, 60);
        Sample opened = large.millis();
        to.row("open a job of 2,000 devices, median ms", opened.median(), "open.median", "");
        double bytes = ServerBench.bytes(large.bytes(), 60).median();
        to.row(
                "as many bytes out of memory, median ms",
                bytes,
                "open.bytes",
                times(opened.median(), bytes + idle.median())
                        + " it and a request that does nothing, wanted 2");
        to.row(
                "open a job of 2,000 devices, KiB of JSON",
                large.bytes() / 1024.0,
                "open.kib",
                "before compression");
        return opened;
    }

    private void editing(int devices, String wanted) {
        ServerBench.Editing editing = bench.editing(devices, 12);
        double row = editing.row().median();
        double edit = editing.edit().median();
        String what = String.format(Locale.ROOT, "one edited length of %,d devices, ", devices);
        to.row(
                "one row written, median ms",
                row,
                "row.median",
                "the floor, in turns with the next");
        to.row(
                what + "median ms",
                edit,
                "edit." + devices,
                times(edit, row) + " the floor, wanted " + wanted);
        to.row(
                what + "KiB answered",
                editing.bytes() / 1024.0,
                "edit.kib." + devices,
                "wanted under 20");
    }

    private void inFlight() {
        InFlight.Mixed mixed = bench.inFlight().measured(2_000);
        InFlight.Load rows = mixed.rows();
        to.row(
                "100 in flight, one row, 4 reads to 1 write, a second",
                rows.perSecond(),
                "rows.rate",
                "the floor, in turns with the next");
        to.row(
                "the same, pages that follow their jobs, a second",
                mixed.pages().perSecond(),
                "pages.rate",
                of(mixed.pages(), rows) + ", wanted 0.8");
        to.row(
                "the same, each read a whole job, a second",
                mixed.whole().perSecond(),
                "load.rate",
                of(mixed.whole(), rows) + ": as if nobody's page knew anything");
        to.row(
                "pages that follow their jobs, p99 ms",
                mixed.pages().millis().p99(),
                "pages.p99",
                mixed.pages().errors() + " errors");
        to.row(
                "each read a whole job, p99 ms",
                mixed.whole().millis().p99(),
                "load.p99",
                mixed.whole().errors() + " errors");
    }

    private static String of(InFlight.Load load, InFlight.Load floor) {
        return String.format(
                Locale.ROOT, "%.2f of the floor", load.perSecond() / floor.perSecond());
    }

    private void unseen(Sample opened) {
        Sample unseen = bench.openUnseen(LARGE, 9);
        to.row(
                "open a job of 2,000 devices never looked at, median ms",
                unseen.median(),
                "unseen.median",
                String.format(
                        Locale.ROOT, "%.0f ms more, wanted 60", unseen.median() - opened.median()));
    }

    private void seen() {
        Sample seen = bench.changeToSecondBrowser(60);
        to.row(
                "change at one server to another's browser, median ms",
                seen.median(),
                "seen.median",
                "two server processes");
        to.row(
                "change at one server to another's browser, p95 ms",
                seen.p95(),
                "seen.p95",
                "wanted under 250");
    }
}
