package app.jerboa.server.knobs;

import app.jerboa.server.platform.Threads;
import java.time.Instant;
import java.time.InstantSource;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * Open links by what they lead to, each closed a while after its last use. Closing may wait for the
 * link's own threads, so that nothing is closed under the lock.
 */
final class KeptLinks<K> {
    private static final int IDLE_SECONDS = 20;
    private static final int SWEEP_SECONDS = 5;

    private final Map<K, Kept> kept = new HashMap<>();
    private final InstantSource clock;

    private static final class Kept {
        final AutoCloseable link;
        Instant usedAt;

        Kept(AutoCloseable link, Instant usedAt) {
            this.link = link;
            this.usedAt = usedAt;
        }
    }

    KeptLinks(InstantSource clock, ScheduledExecutorService timer) {
        this.clock = clock;
        timer.scheduleWithFixedDelay(
                () -> Threads.guarded("closing links that nobody used", this::letGo),
                SWEEP_SECONDS,
                SWEEP_SECONDS,
                TimeUnit.SECONDS);
    }

    /** The one that is open, or a fresh one. */
    synchronized <T extends AutoCloseable> T get(K key, Class<T> type, Supplier<T> fresh) {
        Kept link = kept.computeIfAbsent(key, k -> new Kept(fresh.get(), clock.instant()));
        link.usedAt = clock.instant();
        return type.cast(link.link);
    }

    void drop(Predicate<K> which) {
        close(taken(e -> which.test(e.getKey())));
    }

    private void letGo() {
        Instant before = clock.instant().minusSeconds(IDLE_SECONDS);
        close(taken(e -> e.getValue().usedAt.isBefore(before)));
    }

    private synchronized List<Kept> taken(Predicate<Map.Entry<K, Kept>> which) {
        List<Map.Entry<K, Kept>> all = kept.entrySet().stream().filter(which).toList();
        List<Kept> links = all.stream().map(Map.Entry::getValue).toList();
        kept.values().removeAll(links);
        return links;
    }

    /** One that will not close leaves none of the others open. */
    private static void close(List<Kept> links) {
        links.forEach(k -> Threads.guarded("closing a link", () -> close(k)));
    }

    private static void close(Kept one) {
        try {
            one.link.close();
        } catch (Exception e) {
            throw new IllegalStateException("a link that closes throws nothing", e);
        }
    }
}
