package app.jerboa.server.desk;

import app.jerboa.server.live.Live;
import app.jerboa.server.platform.Threads;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * What follows a stop and needs the database: every server is told of a STOP ALL, again until it is
 * told, and it is counted, so that a server that missed the notice sees it by the count.
 */
@Component
class StopTelling {
    private static final Logger LOG = LoggerFactory.getLogger(StopTelling.class);
    private static final int MOST_WAITING = 10_000;
    private static final Duration AGAIN = Duration.ofMillis(250);

    private final DeskMapper mapper;
    private final Live live;
    private final Sweep sweep;
    private final Set<Long> untold = ConcurrentHashMap.newKeySet();
    private final Map<Long, Long> begunHere = new ConcurrentHashMap<>();
    private final ExecutorService teller = Threads.few("desk-tell", 1, MOST_WAITING);
    private final ScheduledExecutorService again;

    StopTelling(DeskMapper mapper, Live live, Sweep sweep) {
        this.mapper = mapper;
        this.live = live;
        this.sweep = sweep;
        this.again = Threads.loop("desk-tell-again", AGAIN, this::retry);
    }

    /** Never waits. */
    void stopAll(long job) {
        untold.add(job);
        later(() -> tell(job));
    }

    private void retry() {
        untold.forEach(job -> later(() -> tell(job)));
    }

    private void tell(long job) {
        if (!untold.remove(job)) {
            return;
        }
        try {
            long stops = mapper.raiseStops(job);
            begunHere.put(job, stops);
            live.stopAll(job, stops);
        } catch (RuntimeException e) {
            untold.add(job);
            LOG.warn(
                    "STOP ALL of job {} is not told to other servers yet: {}",
                    job,
                    Threads.reason(e));
            return;
        }
        sweep.stopMarkedIn(job);
    }

    /** It was begun at this server, which has stopped its own at once. */
    boolean beganHere(long job, long stops) {
        return begunHere.getOrDefault(job, 0L) >= stops;
    }

    /** Something that needs the database and may wait, after a stop. */
    void later(Runnable task) {
        try {
            teller.execute(() -> Threads.guarded("what follows a stop", task));
        } catch (RejectedExecutionException e) {
            if (teller.isShutdown()) {
                LOG.info("this server ends: the next one finds what it had moved, and stops that");
            } else {
                LOG.warn("the database is too far behind to be told what follows a stop");
            }
        }
    }

    @PreDestroy
    void stop() throws InterruptedException {
        again.shutdownNow();
        teller.shutdown();
        teller.awaitTermination(1, TimeUnit.SECONDS);
    }
}
