package app.jerboa.bench;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.DeskLine;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;

/** Stored views that are gone back to, and pictures that are fetched, of cameras in the rig. */
final class ViewBench implements AutoCloseable {
    private static final int CAMERAS = 8;
    private static final int FRAMES_A_SECOND = 5;
    private static final long WARM_UP_MILLIS = 10_000;
    private static final double COUNTS_OF_ZOOM = 16_384;

    private final Programs programs = new Programs(true);
    private final HttpUser user = new HttpUser(programs::url).signIn("asha");
    private final CameraHall hall;

    /**
     * How far a head stood from where it stored.
     *
     * @param degrees of pan or tilt, the larger
     * @param zoom counts
     */
    record Errors(double degrees, double zoom, int views) {}

    /**
     * @param frames a second, of all cameras together
     * @param server CPU in per cent of a core; {@code rig} alike, which draws them
     */
    record Pictures(double frames, Sample millis, double server, double rig) {}

    ViewBench() throws InterruptedException {
        hall = new CameraHall(programs, user, CAMERAS);
        user.clear(hall.job(), true);
    }

    private record Place(double pan, double tilt, double zoom) {}

    private Place place() {
        JsonNode head =
                BrowserUser.json(programs.rig("GET", "/halls/" + hall.job(), ""))
                        .get("devices")
                        .get(0)
                        .get("head");
        return new Place(
                head.get("pan").asDouble(),
                head.get("tilt").asDouble(),
                head.get("zoom").asDouble());
    }

    /** Where it stands for half a second. */
    private Place standing() throws InterruptedException {
        Place before = place();
        int same = 0;
        while (same < 5) {
            Thread.sleep(100);
            Place now = place();
            same = now.equals(before) ? same + 1 : 0;
            before = now;
        }
        return before;
    }

    /** Driven somewhere, stored, driven away, recalled, and looked at past the server. */
    Errors repeat(int views) throws InterruptedException {
        Random random = new Random(5);
        String store = "/api/jobs/" + hall.job() + "/presets/" + hall.cameras().get(0) + "/";
        double degrees = 0;
        double zoom = 0;
        try (DeskLine line = user.desk().take(hall.job(), hall.cameras().get(0))) {
            for (int i = 0; i < views; i++) {
                push(line, random);
                Place kept = standing();
                user.post(store + i, "{\"name\":\"\",\"note\":\"\"}").join();
                push(line, random);
                if (Math.abs(standing().pan() - kept.pan()) < 1) {
                    throw new IllegalStateException("view " + i + " was not driven away");
                }
                line.send("{\"type\":\"recall\",\"preset\":" + i + "}");
                Thread.sleep(300);
                Place back = standing();
                degrees = Math.max(degrees, Math.abs(back.pan() - kept.pan()));
                degrees = Math.max(degrees, Math.abs(back.tilt() - kept.tilt()));
                zoom = Math.max(zoom, Math.abs(back.zoom() - kept.zoom()) * COUNTS_OF_ZOOM);
            }
        }
        return new Errors(degrees, zoom, views);
    }

    private static void push(DeskLine line, Random random) throws InterruptedException {
        double pan = random.nextBoolean() ? 0.9 : -0.9;
        for (int i = 0; i < 8 + random.nextInt(20); i++) {
            line.send(
                    "{\"type\":\"stick\",\"pan\":"
                            + pan
                            + ",\"tilt\":0.4,\"zoom\":"
                            + (random.nextBoolean() ? 0.6 : -0.6)
                            + ",\"limit\":1}");
            Thread.sleep(40);
        }
        line.release();
    }

    /** Each so many times a second, by pages that ask again when the last one came. */
    Pictures pictures(int cameras, int seconds) throws InterruptedException {
        List<Double> millis = Collections.synchronizedList(new ArrayList<>());
        AtomicInteger frames = new AtomicInteger();
        ScheduledExecutorService pages = Executors.newScheduledThreadPool(cameras);
        for (int c = 0; c < cameras; c++) {
            String path =
                    "/api/jobs/" + hall.job() + "/cameras/" + hall.cameras().get(c) + "/still";
            pages.scheduleAtFixedRate(
                    () -> fetch(path, millis, frames),
                    20L * c,
                    1_000 / FRAMES_A_SECOND,
                    TimeUnit.MILLISECONDS);
        }
        Thread.sleep(WARM_UP_MILLIS);
        millis.clear();
        frames.set(0);
        Duration server = programs.serverCpu();
        Duration rig = programs.rigCpu();
        Thread.sleep(1_000L * seconds);
        double perCent = 1.0 / (10.0 * seconds);
        Pictures pictures =
                new Pictures(
                        (double) frames.get() / seconds,
                        Sample.of(millis.stream().mapToDouble(d -> d).toArray()),
                        programs.serverCpu().minus(server).toMillis() * perCent,
                        programs.rigCpu().minus(rig).toMillis() * perCent);
        pages.shutdownNow();
        return pictures;
    }

    private void fetch(String path, List<Double> millis, AtomicInteger frames) {
        long start = System.nanoTime();
        HttpResponse<String> answer = user.get(path).join();
        if (answer.statusCode() == 200) {
            frames.incrementAndGet();
            millis.add((System.nanoTime() - start) / 1e6);
        }
    }

    @Override
    public void close() {
        programs.close();
    }
}
