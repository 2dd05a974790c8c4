package app.jerboa.bench;

import app.jerboa.core.bringup.BringUpMethod;
import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;
import java.util.Properties;

/**
 * Prints every figure beside the baseline kept with it and, where there is one, the floor of the
 * same run.
 */
public final class Main {
    private static final int KEY_PRESSES = 200;
    private static final int STOPS = 20;
    private static final int KIT = 10_000;
    private static final int DRAWN_HALLS = 20;

    private final Properties baseline = new Properties();

    private Main() throws IOException {
        try (InputStream in = Main.class.getResourceAsStream("/baseline.properties")) {
            baseline.load(in);
        }
    }

    /**
     * {@code kit}, {@code checks}, {@code plans}, {@code drawing}, {@code server}, {@code stop},
     * {@code hard}, {@code wire}, {@code knobs}, {@code hall} or {@code cards} alone, or
     * everything.
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        Main main = new Main();
        switch (args.length == 0 ? "" : args[0]) {
            case "kit" -> main.kit();
            case "checks" -> main.checks();
            case "proof" -> main.proof();
            case "plans" -> main.plans();
            case "drawing" -> main.drawing();
            case "server" -> ServerRows.print(main::row);
            case "stop" -> main.stop();
            case "hard" -> main.hardUse();
            case "wire" -> WireRows.print(main::row);
            case "knobs" -> main.knobs();
            case "hall" -> HallRows.print(main::row);
            case "cards" -> CardRows.print(main::row);
            case "key" -> main.keys();
            case "views" -> ViewRows.print(main::row);
            case "desk" -> DeskRows.print(main::row);
            default -> main.run();
        }
    }

    private void run() throws IOException, InterruptedException {
        System.out.printf("%-58s %12s %12s %s%n", "figure", "now", "baseline", "note");
        double five = AddressBench.planAndCheck(5_000).median();
        row(
                "address plan and check, 5,000 devices, median ms",
                five,
                "address.5000",
                "wanted under 60");
        double ten = AddressBench.planAndCheck(10_000).median();
        row(
                "the same, 10,000 devices, median ms",
                ten,
                "address.10000",
                String.format(Locale.ROOT, "%.2f times the 5,000 (n log n: 2.16)", ten / five));
        keys();
        checks();
        proof();
        plans();
        ServerRows.print(this::row);
        kit();
        drawing();
        stop();
        hardUse();
        WireRows.print(this::row);
        knobs();
        HallRows.print(this::row);
        DeskRows.print(this::row);
    }

    /** From a key in the browser to the frame, beside a bare echo. */
    private void keys() throws IOException, InterruptedException {
        Sample echo = UdpEcho.measure(KEY_PRESSES, 60);
        row(
                "bare UDP echo on loopback, median ms",
                echo.median(),
                "echo.median",
                "the floor, same run");
        row("bare UDP echo on loopback, p99 ms", echo.p99(), "echo.p99", "");
        KeyToWireBench.Times times = KeyToWireBench.measure(KEY_PRESSES);
        Sample key = times.whole();
        row(
                "key press to UDP frame at the stand-in, median ms",
                key.median(),
                "key.median",
                String.format(Locale.ROOT, "%.0f times the echo", key.median() / echo.median()));
        row(
                "key press to UDP frame at the stand-in, p99 ms",
                key.p99(),
                "key.p99",
                "wanted under 20");
        row(
                "of which until the page's code sees the key, median ms",
                times.browser().median(),
                "browser.median",
                "");
        row(
                "of which until the page's code sees the key, p99 ms",
                times.browser().p99(),
                "browser.p99",
                "");
    }

    /** How every test stands, growing: both halves should double. */
    private void proof() {
        double before = 0;
        for (int devices : new int[] {1_000, 2_000}) {
            ProofBench.Times t = ProofBench.measure(devices);
            row(
                    String.format(
                            Locale.ROOT,
                            "standings, %,d devices, %,d observations, median ms",
                            devices,
                            20 * devices),
                    t.standings().median(),
                    "proof." + devices,
                    String.format(
                            Locale.ROOT,
                            "%.1f times a pass; %s",
                            t.standings().median() / t.floor().median(),
                            before == 0
                                    ? "wanted under 50 at 2,000"
                                    : String.format(
                                            Locale.ROOT,
                                            "%.2f times the half",
                                            t.standings().median() / before)));
            row(
                    "the same observations taken in, median ms",
                    t.taken().median(),
                    "proof.taken." + devices,
                    "");
            before = t.standings().median();
        }
    }

    /** Every check of a whole job, growing; the ratio is against n log n. */
    private void checks() {
        double before = 0;
        for (int devices : new int[] {500, 1_000, 2_000, 5_000, 10_000}) {
            double median = ChecksBench.check(devices).median();
            String grown =
                    before == 0 ? "" : String.format(Locale.ROOT, "%.2f times", median / before);
            row(
                    String.format(
                            Locale.ROOT, "every check of a job, %,d devices, median ms", devices),
                    median,
                    "checks." + devices,
                    devices == 1_000 ? grown + ", wanted under 40" : grown);
            before = median;
        }
    }

    /** The address plan, and the bring-up by two methods, growing; ratios are of one run. */
    private void plans() {
        double[] before = new double[3];
        for (int devices : new int[] {10, 100, 1_000, 5_000}) {
            int rounds = devices > 100 ? 9 : 40;
            double[] now = {
                AddressBench.planAndCheck(devices).median(),
                PlanBench.plan(devices, BringUpMethod.HOP, rounds).median(),
                PlanBench.plan(devices, BringUpMethod.ALIAS, rounds).median()
            };
            String[] what = {"address plan and check", "bring-up by hops", "by second address"};
            String[] key = {"plan.addresses.", "plan.hop.", "plan.alias."};
            for (int i = 0; i < 3; i++) {
                row(
                        String.format(Locale.ROOT, "%s, %,d devices, median ms", what[i], devices),
                        now[i],
                        key[i] + devices,
                        before[i] == 0
                                ? ""
                                : String.format(Locale.ROOT, "%.1f times", now[i] / before[i]));
            }
            before = now;
        }
    }

    /** 50 streams and 30 desks, at two rates; each beside as many requests that do nothing. */
    private void hardUse() {
        try (HardUseBench bench = new HardUseBench()) {
            for (int rate : new int[] {60, 200}) {
                HardUseBench.Load floor = bench.nothing(rate);
                HardUseBench.Load load = bench.mixed(rate);
                String what = rate + " requests a second, 50 streams, 30 desks, ";
                row(
                        what + "p99 ms",
                        load.millis().p99(),
                        "hard.p99." + rate,
                        load.errors() + " errors");
                row(
                        "the same that do nothing, p99 ms",
                        floor.millis().p99(),
                        "hard.floor." + rate,
                        floor.errors() + " errors");
                row(
                        "the same, memory of the server, MB",
                        load.megabytes(),
                        "hard.memory." + rate,
                        bench.driving() + " of 4 desks drive on");
            }
        }
    }

    /** From what happens to a desk until its head hears the stop, 20 times each. */
    private void stop() {
        try (StopBench bench = new StopBench()) {
            bench.measure(
                    STOPS,
                    (what, sample) ->
                            row(
                                    "stop: " + what + ", median ms",
                                    sample.median(),
                                    "stop." + what.replaceAll("[^A-Za-z0-9]+", "-"),
                                    String.format(
                                            Locale.ROOT,
                                            "worst of %d: %.0f ms",
                                            STOPS,
                                            sample.worst())));
        }
    }

    private void drawing() {
        try (DrawingBench drawing = new DrawingBench(DRAWN_HALLS)) {
            DrawingBench.Times times = drawing.measure(5);
            row(
                    "drawing of 200 devices, until it can be used, median ms",
                    times.shown().median(),
                    "drawing.shown",
                    "wanted under 1,000");
            row(
                    "the same, from a key to the next run marked, median ms",
                    times.marked().median(),
                    "drawing.marked",
                    "");
        }
    }

    private void knobs() throws InterruptedException {
        try (KnobBench bench = new KnobBench()) {
            KnobBench.Times t = bench.measure();
            row(
                    "knobs of 56 cameras read through the server, median ms",
                    t.served().median(),
                    "knobs.served",
                    String.format(
                            Locale.ROOT,
                            "%d values; %.1f times the bare questions",
                            t.values(),
                            t.served().median() / t.bare().median()));
            row("the same questions bare, median ms", t.bare().median(), "knobs.bare", "floor");
        }
    }

    private void kit() {
        try (KitBench kit = new KitBench(KIT)) {
            KitBench.Times times = kit.openAndScroll();
            row(
                    "Kit page of 10,000 devices, first row drawn, ms",
                    times.firstPaint(),
                    "kit.paint",
                    "");
            row(
                    "the same, longest task while scrolling, ms",
                    times.longestTask(),
                    "kit.task",
                    "under 50 counts as 0");
            row(
                    "the same, longest time between two frames, ms",
                    times.longestFrame(),
                    "kit.frame",
                    "");
            Sample edit = kit.edit(10);
            row("the same, one edit from Enter to shown, median ms", edit.median(), "kit.edit", "");
            KitBench.Paste paste = kit.paste(1_000);
            row("paste of 1,000 rows, until all are looked at, ms", paste.looked(), "kit.look", "");
            row("paste of 1,000 rows, until taken over, ms", paste.taken(), "kit.take", "");
        }
    }

    private void row(String figure, double now, String key, String note) {
        System.out.printf(
                Locale.ROOT,
                "%-58s %12.3f %12s %s%n",
                figure,
                now,
                baseline.getProperty(key, "none"),
                note);
    }
}
