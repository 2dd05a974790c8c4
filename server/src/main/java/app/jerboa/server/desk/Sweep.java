package app.jerboa.server.desk;

import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.platform.Threads;
import app.jerboa.wire.link.session.Stopping.Outcome;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Stops heads that are marked as moving and driven by nobody: after a crash, first thing at start,
 * and whenever a desk let one go that was not seen standing. All at once, each on its own: one that
 * does not answer holds up no other.
 */
@Component
class Sweep {
    /** Name of the lease's holder while a head is stopped here. */
    static final String NAME = "Jerboa itself";

    private static final Logger LOG = LoggerFactory.getLogger(Sweep.class);
    private static final Duration EVERY = Duration.ofSeconds(1);
    private static final int MOST_AT_ONCE = 128;
    private static final int PATIENCE_MILLIS = 5_000;
    private static final int LOOK_MILLIS = 20;

    /** Longer than one try lasts. */
    private static final int LEASE_SECONDS = 8;

    private final DeskMapper mapper;
    private final CameraLinks links;
    private final Jobs jobs;
    private final String server;
    private final Set<CameraId> underWay = ConcurrentHashMap.newKeySet();
    private final ExecutorService threads = Threads.many("sweep", MOST_AT_ONCE);
    private ScheduledExecutorService loop;

    Sweep(DeskMapper mapper, CameraLinks links, Jobs jobs, Settings settings) {
        this.mapper = mapper;
        this.links = links;
        this.jobs = jobs;
        this.server = settings.serverName();
    }

    /**
     * What this server drove before it was killed is driven by nobody now: before the first desk
     * can come back, or it would find its own lease in its way.
     */
    @PostConstruct
    void begin() {
        mapper.dropLeasesOf(server);
        loop = Threads.loop("sweep", EVERY, this::round);
    }

    private void round() {
        mapper.abandoned().forEach(this::stopAbandoned);
    }

    private void stopAbandoned(CameraId camera) {
        once(
                camera,
                () -> {
                    String holder = "sweep:" + server;
                    if (mapper.takeLease(camera, server, holder, NAME, LEASE_SECONDS) == 1) {
                        try {
                            if (stands(camera, () -> true)) {
                                mapper.unmarkMoving(camera);
                            }
                        } finally {
                            mapper.releaseLease(camera, holder);
                        }
                    }
                });
    }

    /** Whatever any server has marked in this job; what others drive keeps its mark. */
    void stopMarkedIn(long job) {
        for (CameraId camera : mapper.movingIn(job)) {
            if (!links.isOpen(camera)) {
                once(
                        camera,
                        () -> {
                            if (stands(camera, () -> true)) {
                                mapper.unmarkUnlessLeased(camera);
                            }
                        });
            }
        }
    }

    /**
     * A head whose own link does not see it stand, over a fresh one.
     *
     * @param still whether it is still to be stopped; asked again and again
     */
    void tryAside(CameraId camera, BooleanSupplier still, Runnable onStanding) {
        once(
                camera,
                () -> {
                    if (stands(camera, still)) {
                        onStanding.run();
                    }
                });
    }

    private void once(CameraId camera, Runnable task) {
        if (!underWay.add(camera)) {
            return;
        }
        try {
            threads.execute(
                    () -> {
                        try {
                            Threads.guarded("stopping " + camera, task);
                        } finally {
                            underWay.remove(camera);
                        }
                    });
        } catch (RejectedExecutionException later) {
            underWay.remove(camera);
        }
    }

    private boolean stands(CameraId camera, BooleanSupplier still) {
        CameraLink aside;
        try {
            aside = links.aside(jobs.load(camera.job()), camera.device(), "");
        } catch (Problem e) {
            LOG.info("{} could not be stopped yet: {}", camera, e.getMessage());
            return false;
        }
        try {
            return ended(aside.link().stop(), still);
        } finally {
            aside.link().close();
        }
    }

    private static boolean ended(CompletableFuture<Outcome> stopping, BooleanSupplier still) {
        long patience = PATIENCE_MILLIS / LOOK_MILLIS;
        for (long i = 0; i < patience && still.getAsBoolean(); i++) {
            if (doneSoon(stopping)) {
                return stopping.handle((o, failure) -> o != null && o.done()).join();
            }
        }
        return false;
    }

    private static boolean doneSoon(CompletableFuture<Outcome> stopping) {
        try {
            stopping.get(LOOK_MILLIS, TimeUnit.MILLISECONDS);
            return true;
        } catch (TimeoutException notYet) {
            return false;
        } catch (ExecutionException failed) {
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    @PreDestroy
    void end() {
        if (loop != null) {
            loop.shutdownNow();
        }
        threads.shutdownNow();
    }
}
