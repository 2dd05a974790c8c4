package app.jerboa.server.desk;

import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.profile.Head;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/**
 * Looks after every open desk: silent sticks every 20 ms, positions ten times a second, what was
 * said of its camera every second. Each watch has a thread of its own; what fails at one desk ends
 * nothing. The server is down when a watch that stops heads has not run for a second.
 */
@Component
class DeskWatch implements HealthIndicator {
    private static final Duration STICKS = Duration.ofMillis(20);
    private static final Duration POSITIONS = Duration.ofMillis(100);

    /** A page draws them about so often. */
    private static final Duration FRAMES = Duration.ofMillis(300);

    private static final Duration LOOKS = Duration.ofSeconds(1);
    private static final long LATE_NANOS = TimeUnit.SECONDS.toNanos(1);

    private final Desks desks;
    private final Sweep sweep;
    private final Live live;
    private final Map<String, Long> lastRun = new ConcurrentHashMap<>();
    private final List<ScheduledExecutorService> threads = new ArrayList<>();

    /** Not on the threads that read the links; no more waits there than one look for each desk. */
    private final ExecutorService shows = Threads.few("desk-shows", 2, Integer.MAX_VALUE);

    private Set<DeskMapper.Lease> linksBefore = Set.of();

    DeskWatch(Desks desks, Sweep sweep, Live live) {
        this.live = live;
        this.desks = desks;
        this.sweep = sweep;
        watch("sticks", STICKS, () -> each(d -> d.driving.watch()));
        watch("positions", POSITIONS, () -> each(this::ask));
        threads.add(Threads.loop("desk-frames", FRAMES, () -> each(d -> d.screen.showNoted())));
        threads.add(Threads.loop("desk-looks", LOOKS, this::look));
    }

    private void watch(String name, Duration every, Runnable round) {
        lastRun.put(name, System.nanoTime());
        threads.add(
                Threads.loop(
                        "desk-" + name,
                        every,
                        () -> {
                            lastRun.put(name, System.nanoTime());
                            round.run();
                        }));
    }

    private void each(Consumer<Desk> look) {
        desks.all().forEach(d -> Threads.guarded("a look at a desk", () -> look.accept(d)));
    }

    @Override
    public Health health() {
        long now = System.nanoTime();
        boolean late = lastRun.values().stream().anyMatch(at -> now - at > LATE_NANOS);
        return late ? Health.down().build() : Health.up().build();
    }

    /** What may wait a moment, each second. */
    private void look() {
        each(
                desk -> {
                    desk.driving.unmarkWhenSettled();
                    desk.driving.owing().ifPresent(camera -> tryAside(desk, camera));
                    desks.lookAtWish(desk);
                });
        linksChanged();
        desks.gateAll();
    }

    /** Every page shows how the links of driven cameras stand. */
    private void linksChanged() {
        Set<DeskMapper.Lease> now =
                desks.all().stream()
                        .flatMap(d -> d.driving.camera().stream())
                        .map(DeskMapper.Lease::of)
                        .collect(Collectors.toSet());
        now.stream()
                .filter(l -> !linksBefore.contains(l))
                .map(DeskMapper.Lease::job)
                .distinct()
                .forEach(job -> live.changed(job, Notice.DRIVERS));
        linksBefore = now;
    }

    private void tryAside(Desk desk, CameraId camera) {
        sweep.tryAside(
                camera,
                () -> desk.driving.owing().filter(camera::equals).isPresent(),
                () -> desk.driving.seenStanding(camera));
    }

    private void ask(Desk desk) {
        Question asked = desk.driving.asks().orElse(null);
        if (asked == null
                || !asked.camera().link().can().tells()
                || !desk.asking.compareAndSet(false, true)) {
            return;
        }
        CameraLink camera = asked.camera();
        camera.link()
                .askPanTilt(true)
                .thenCombine(camera.link().askZoom(true), Seen::new)
                .thenCombine(AxisReading.of(camera), Seen::with)
                .whenCompleteAsync((seen, failure) -> answered(desk, asked, seen), shows);
    }

    private static void answered(Desk desk, Question asked, Seen seen) {
        Threads.guarded(
                "showing where a head points",
                () -> {
                    if (seen == null) {
                        silent(desk, asked.camera());
                    } else {
                        show(desk, asked, seen);
                    }
                });
        desk.asking.set(false);
    }

    private record Seen(PanTilt at, ZoomPosition zoom, AxisReading axes) {
        Seen(PanTilt at, ZoomPosition zoom) {
            this(at, zoom, AxisReading.NONE);
        }

        Seen with(AxisReading read) {
            return new Seen(at, zoom, read);
        }
    }

    private static void show(Desk desk, Question asked, Seen seen) {
        CameraLink camera = asked.camera();
        PanTilt at = seen.at();
        ZoomPosition zoom = seen.zoom();
        Head head = camera.head();
        double counts = camera.link().can().countsPerDegree().orElse(head.countsPerDegree());
        Pointing where =
                new Pointing(
                        at,
                        at.pan() / counts,
                        at.tilt() / counts,
                        head.lens().angleDegrees(share(zoom)),
                        seen.axes());
        desk.driving.seen(asked, where);
        desk.screen.show(position(camera, where, zoom, desk.driving.going()));
    }

    private static void silent(Desk desk, CameraLink camera) {
        if (desk.driving.camera().filter(camera::equals).isPresent()) {
            String why = camera.link().health().seen().why();
            desk.screen.tell(
                    DeskMessages.Trouble.silence(
                            camera.device(),
                            Words.say(
                                    why.isEmpty() ? "silent.camera" : "silent.camera-why",
                                    Map.of("device", camera.name(), "why", why))));
        }
    }

    private static DeskMessages.Position position(
            CameraLink camera, Pointing where, ZoomPosition zoom, Driving.Going going) {
        return new DeskMessages.Position(
                "position",
                camera.device(),
                where.pan(),
                where.tilt(),
                share(zoom),
                where.viewDegrees(),
                where.at().pan(),
                where.at().tilt(),
                zoom.counts(),
                where.axes().roll(),
                where.axes().rail(),
                going.crossingSeconds(),
                going.of(MotionAxis.PAN),
                going.of(MotionAxis.TILT),
                going.of(MotionAxis.ROLL),
                going.of(MotionAxis.RAIL));
    }

    private static double share(ZoomPosition zoom) {
        return Math.min(1, (double) zoom.counts() / ZoomPosition.TELE);
    }

    /** The stop frames are out; their acknowledgements and second readings get a moment. */
    @PreDestroy
    void stopEverything() throws InterruptedException {
        boolean driving = desks.all().stream().anyMatch(d -> d.driving.camera().isPresent());
        desks.all().forEach(d -> d.driving.stopFromElsewhere("the server is stopping"));
        threads.forEach(ScheduledExecutorService::shutdownNow);
        shows.shutdown();
        TimeUnit.MILLISECONDS.sleep(driving ? 500 : 0);
    }
}
