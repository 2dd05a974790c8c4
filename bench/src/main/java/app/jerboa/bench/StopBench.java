package app.jerboa.bench;

import static app.jerboa.bench.Pauses.pause;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.DeskLine;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * The stop contract, measured: from what happens to a desk until the stop frame is at the
 * stand-in's socket. The rig stamps the frame, we stamp the event, by the clock of one machine.
 */
final class StopBench implements AutoCloseable {
    private static final String CAMERA = "L1";
    private static final int PATIENCE_MILLIS = 20_000;
    private static final int REQUESTS_A_SECOND = 300;

    private final Programs programs = new Programs(true);
    private final BrowserUser desk = new BrowserUser(programs);
    private final HttpUser asha;
    private final long job;
    private final long camera;

    StopBench() {
        desk.signIn();
        job = desk.broughtUpJob();
        camera = desk.device(job, CAMERA);
        asha = new HttpUser(programs::url).signIn("asha");
    }

    /** Hands on each figure by its name as soon as it is there; so many times each. */
    void measure(int times, BiConsumer<String, Sample> rows) {
        rows.accept("push, until its first frame", pushed(times));
        rows.accept("steady move, then silent", steadyMove(times));
        rows.accept("recall on its way, STOP ALL", recalled(times));
        rows.accept("released", repeat(times, DeskLine::release));
        rows.accept("silent", repeat(times, DeskLine::fallSilent));
        rows.accept("socket closed", repeat(times, DeskLine::close));
        rows.accept("browser killed", browserKilled(times));
        rows.accept("slow reader, then silent", slowReader(times));
        rows.accept("STOP ALL, same server", stopAll(times, asha));
        Programs.Server second = programs.another();
        rows.accept(
                "STOP ALL at another server",
                stopAll(times, new HttpUser(second::url).signIn("asha")));
        rows.accept("database hung, STOP ALL", databaseHung(times));
        rows.accept("under 300 requests a second, STOP ALL", underLoad(times));
    }

    /** From rest: that it moves is stored first. */
    private Sample pushed(int times) {
        double[] millis = new double[times];
        for (int i = 0; i < times; i++) {
            try (DeskLine line = asha.desk().take(job, camera)) {
                pause(200);
                Instant at = Instant.now();
                line.hold(i % 2 == 0 ? 0.5 : -0.5);
                millis[i] = since(at, awaitPan(false, at));
                line.release();
                awaitPan(true, at);
            }
            pause(400);
        }
        return Sample.of(millis);
    }

    private Sample steadyMove(int times) {
        double[] millis = new double[times];
        for (int i = 0; i < times; i++) {
            try (DeskLine line = asha.desk().take(job, camera)) {
                pause(500);
                Instant begun = Instant.now();
                line.go(1, i % 2 == 0 ? 60 : -60, 0, 20);
                awaitPan(false, begun);
                pause(500);
                Instant at = Instant.now();
                line.fallSilent();
                millis[i] = since(at, awaitPan(true, at));
            }
            pause(400);
        }
        return Sample.of(millis);
    }

    /** A head that goes to a view that it keeps by itself. */
    private Sample recalled(int times) {
        asha.send(
                "POST",
                "/api/jobs/" + job + "/presets/" + camera + "/0",
                "{\"name\":\"begin\",\"note\":\"\"}");
        double[] millis = new double[times];
        for (int i = 0; i < times; i++) {
            try (DeskLine line = asha.desk().take(job, camera)) {
                line.hold(i % 2 == 0 ? 0.9 : -0.9);
                pause(900);
                line.release();
                pause(900);
                line.send("{\"type\":\"recall\",\"preset\":0}");
                pause(250);
                Instant at = Instant.now();
                line.stopAll();
                millis[i] = since(at, awaitPan(true, at));
            }
            pause(400);
        }
        return Sample.of(millis);
    }

    private Sample repeat(int times, Consumer<DeskLine> event) {
        return repeat(times, asha::desk, event);
    }

    private Sample repeat(int times, Supplier<DeskLine> open, Consumer<DeskLine> event) {
        double[] millis = new double[times];
        for (int i = 0; i < times; i++) {
            try (DeskLine line = open.get().take(job, camera)) {
                line.hold(i % 2 == 0 ? 0.5 : -0.5);
                awaitPan(false, Instant.EPOCH);
                pause(120);
                Instant at = Instant.now();
                event.accept(line);
                millis[i] = since(at, awaitPan(true, at));
            }
            pause(400);
        }
        return Sample.of(millis);
    }

    private Sample browserKilled(int times) {
        double[] millis = new double[times];
        for (int i = 0; i < times; i++) {
            try (BrowserUser one = new BrowserUser(programs)) {
                one.signIn();
                one.open(job, "desk");
                one.page.locator("[aria-label=Cameras] button").first().click();
                one.page.locator("[data-reading=Pan]").waitFor();
                one.page.keyboard().down(i % 2 == 0 ? "ArrowRight" : "ArrowLeft");
                awaitPan(false, Instant.EPOCH);
                pause(120);
                Instant at = Instant.now();
                one.kill();
                millis[i] = since(at, awaitPan(true, at));
            }
            pause(400);
        }
        return Sample.of(millis);
    }

    private Sample slowReader(int times) {
        return repeat(
                times,
                () -> new DeskLine(programs.url(""), asha.cookie(), 1024),
                line -> {
                    line.stopReading();
                    for (int i = 0; i < 3_000; i++) {
                        line.send("{\"type\":\"nonsense\"}");
                    }
                    line.fallSilent();
                });
    }

    private Sample stopAll(int times, HttpUser who) {
        try (DeskLine other = who.desk()) {
            other.send("{\"type\":\"open\",\"job\":" + job + "}");
            pause(300);
            return repeat(times, line -> other.stopAll());
        }
    }

    /** Every process of the test database stands still while the stop is sent. */
    private Sample databaseHung(int times) {
        try (DeskLine other = asha.desk()) {
            other.send("{\"type\":\"open\",\"job\":" + job + "}");
            pause(300);
            return repeat(
                    times,
                    line -> {
                        signal("STOP");
                        other.stopAll();
                        CompletableFuture.runAsync(
                                () -> {
                                    pause(1_500);
                                    signal("CONT");
                                });
                    });
        } finally {
            signal("CONT");
        }
    }

    private static void signal(String what) {
        try {
            new ProcessBuilder("pkill", "-" + what, "-x", "postgres").start().waitFor();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private Sample underLoad(int times) {
        AtomicBoolean on = new AtomicBoolean(true);
        AtomicInteger waiting = new AtomicInteger();
        Thread load =
                new Thread(
                        () -> {
                            long next = System.nanoTime();
                            while (on.get()) {
                                if (waiting.get() < 2_000) {
                                    waiting.incrementAndGet();
                                    asha.get("/api/jobs/" + job)
                                            .whenComplete((r, f) -> waiting.decrementAndGet());
                                }
                                next += 1_000_000_000L / REQUESTS_A_SECOND;
                                pause(Math.max(0, (next - System.nanoTime()) / 1_000_000));
                            }
                        });
        load.setDaemon(true);
        load.start();
        try (DeskLine other = asha.desk()) {
            other.send("{\"type\":\"open\",\"job\":" + job + "}");
            pause(2_000);
            return repeat(times, line -> other.stopAll());
        } finally {
            on.set(false);
        }
    }

    private Instant awaitPan(boolean stop, Instant after) {
        long end = System.currentTimeMillis() + PATIENCE_MILLIS;
        while (System.currentTimeMillis() < end) {
            Programs.Heard last = programs.lastDrive(job, CAMERA).orElse(null);
            if (last != null && !last.at().isBefore(after) && (last.pan() == 0) == stop) {
                return last.at();
            }
            pause(3);
        }
        throw new IllegalStateException("the stand-in heard no " + (stop ? "stop" : "drive"));
    }

    private static double since(Instant from, Instant to) {
        return Duration.between(from, to).toNanos() / 1e6;
    }

    @Override
    public void close() {
        desk.close();
        programs.close();
    }
}
