package app.jerboa.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.util.Locale;

/** What codecs and links cost, each beside its floor in the same run. */
final class WireRows {
    private static final int TURNS = 10;
    private static final int ROUNDS = 500;

    /** A server that polls ten heads is here after ten minutes. */
    private static final int WARM_UP = 60_000;

    private static final int HEADS = 500;
    private static final int INPUTS = 10_000_000;

    /** Prints one figure. */
    interface Rows {
        void row(String figure, double now, String baseline, String note);
    }

    private WireRows() {}

    static void print(Rows to) throws IOException, InterruptedException {
        codec(to);
        links(to);
        heads(to);
        fuzz(to);
    }

    private static String times(double now, double floor) {
        return String.format(Locale.ROOT, "%.1f times the floor", now / floor);
    }

    private static void codec(Rows to) {
        CodecBench.Cost copied = CodecBench.copied();
        CodecBench.Cost drive = CodecBench.drive();
        to.row("nine octets copied twice, ns", copied.nanos(), "codec.copy", "the floor, same run");
        to.row(
                "drive frame made and read, ns",
                drive.nanos(),
                "codec.drive",
                times(drive.nanos(), copied.nanos()) + ", wanted 3");
        to.row(
                "allocated for it, octets a frame",
                drive.octets(),
                "codec.octets",
                "wanted 100; the copies take "
                        + String.format(Locale.ROOT, "%.0f", copied.octets()));
    }

    private static void fuzz(Rows to) {
        long start = System.nanoTime();
        long frames = CodecBench.fuzz(INPUTS);
        to.row(
                "ten million random and broken inputs to every reader, s",
                (System.nanoTime() - start) / 1e9,
                "codec.fuzz",
                String.format(Locale.ROOT, "%,d frames found, nothing thrown", frames));
    }

    /** In turns, so that both meet the same moments of a machine that others use too. */
    private static void links(Rows to) throws IOException, InterruptedException {
        double[] echo = new double[TURNS];
        double[] link = new double[TURNS];
        double[] times = new double[TURNS];
        try (LinkBench one = new LinkBench(1)) {
            one.roundTrips(WARM_UP, 0);
            UdpEcho.measure(WARM_UP, 0);
            for (int i = 0; i < TURNS; i++) {
                echo[i] = UdpEcho.measure(ROUNDS, 1).median();
                link[i] = one.roundTrips(ROUNDS, 1).median();
                times[i] = link[i] / echo[i];
            }
        }
        Sample ratio = Sample.of(times);
        to.row(
                "bare UDP echo, median ms",
                Sample.of(echo).median(),
                "link.echo",
                "the floor, same run");
        to.row(
                "question to a simulated head until its answer is told, median ms",
                Sample.of(link).median(),
                "link.median",
                String.format(
                        Locale.ROOT,
                        "%.2f times the floor, wanted 1.5; %.2f to %.2f in %d turns",
                        ratio.median(),
                        ratio.best(),
                        ratio.worst(),
                        TURNS));
    }

    private static void heads(Rows to) throws IOException, InterruptedException {
        Runtime runtime = Runtime.getRuntime();
        System.gc();
        long before = runtime.totalMemory() - runtime.freeMemory();
        int threads = ManagementFactory.getThreadMXBean().getThreadCount();
        try (LinkBench many = new LinkBench(HEADS)) {
            many.polled(5, 2);
            Sample polled = many.polled(5, 5);
            System.gc();
            double megabytes = (runtime.totalMemory() - runtime.freeMemory() - before) / 1e6;
            int more = ManagementFactory.getThreadMXBean().getThreadCount() - threads;
            to.row(
                    "500 heads polled at 5 Hz in one process, median ms",
                    polled.median(),
                    "heads.median",
                    String.format(
                            Locale.ROOT, "%,d answers of %,d", polled.millis().size(), HEADS * 25));
            to.row("the same, p99 ms", polled.p99(), "heads.p99", "wanted under 10");
            to.row(
                    "threads more for 500 heads and their links",
                    more,
                    "heads.threads",
                    "both sides in this process");
            to.row("memory kept for them, MB", megabytes, "heads.megabytes", "both sides");
        }
    }
}
