package app.jerboa.server.knobs;

import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.platform.Threads;
import jakarta.annotation.PreDestroy;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * Tells the pages of a job that a camera said something unasked, four times a second at most: a
 * wheel turned at the camera pushes a value a step. On a thread of its own, since a database that
 * hangs must not keep the links that hear.
 */
@Component
class PushedValues {
    private static final int TOLD_AFTER_MILLIS = 250;

    private final Live live;
    private final Set<Long> owed = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService teller = Threads.timer("pushed values");

    PushedValues(Live live) {
        this.live = live;
    }

    void heard(long job) {
        if (!owed.add(job)) {
            return;
        }
        try {
            teller.schedule(() -> tell(job), TOLD_AFTER_MILLIS, TimeUnit.MILLISECONDS);
        } catch (RejectedExecutionException stopping) {
            owed.remove(job);
        }
    }

    private void tell(long job) {
        owed.remove(job);
        Threads.guarded("telling of pushed values", () -> live.changed(job, Notice.KNOBS));
    }

    @PreDestroy
    void close() {
        teller.shutdownNow();
    }
}
