package app.jerboa.server.bringup;

import app.jerboa.server.platform.Settings;
import app.jerboa.server.platform.Threads;
import jakarta.annotation.PreDestroy;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks at the network for every bring-up that somebody has open, and ticks what it sees. One
 * server at a time watches one bring-up: when that is killed, another takes over a few seconds
 * later, and what was ticked is stored. It only ever asks; it never signs in.
 */
@Component
class BringUpWatch {
    /** One that asks over a lead waits some seconds for what does not answer. */
    private static final int AT_ONCE = 4;

    private static final int MOST_WAITING = 100;

    private final BringUpMapper mapper;
    private final Ticking ticking;
    private final Settings settings;
    private final ExecutorService looks = Threads.few("bring-up watch", AT_ONCE, MOST_WAITING);

    /** Jobs whose look is not over: a network that is slow to answer is not asked twice at once. */
    private final Set<Long> looking = ConcurrentHashMap.newKeySet();

    BringUpWatch(BringUpMapper mapper, Ticking ticking, Settings settings) {
        this.mapper = mapper;
        this.ticking = ticking;
        this.settings = settings;
    }

    /** Every half second, unless set otherwise: the pace of what a technician does. */
    @Scheduled(fixedDelayString = "${jerboa.watch-millis:500}")
    void look() {
        for (long job : mapper.watched(settings.serverName())) {
            if (looking.add(job)) {
                lookAt(job);
            }
        }
    }

    private void lookAt(long job) {
        try {
            looks.execute(
                    () -> {
                        try {
                            Threads.guarded("bring-up watch", () -> ticking.watch(job));
                        } finally {
                            looking.remove(job);
                        }
                    });
        } catch (RejectedExecutionException full) {
            looking.remove(job);
        }
    }

    @PreDestroy
    void close() {
        looks.shutdownNow();
    }
}
