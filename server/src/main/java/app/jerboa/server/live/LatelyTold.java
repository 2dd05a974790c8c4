package app.jerboa.server.live;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.function.LongSupplier;

/**
 * What was told lately of each job, for a page that begins to listen: it has read the job already,
 * and what changed between that read and its first word from here would never be told it.
 */
final class LatelyTold {
    /** A page that has not listened for longer looks at everything. */
    private static final Duration KEPT = Duration.ofMinutes(1);

    /**
     * @param ago milliseconds since it was told
     * @param version of the plan then, 0 where another part changed
     */
    record Told(long ago, long version, String part) {}

    /**
     * The first word to a page that listens.
     *
     * @param listened milliseconds for which nothing that was told is missing here
     * @param told of each part the newest, within that time
     */
    record Hello(long listened, List<Told> told) {}

    private record Kept(long at, long version) {}

    private final Map<Long, Map<String, Kept>> byJob = new HashMap<>();
    private final LongSupplier nanos;
    private OptionalLong since = OptionalLong.empty();

    /**
     * @param nanos a clock like {@link System#nanoTime}
     */
    LatelyTold(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /** From now on every notice comes here; what was told before may not have. */
    synchronized void listens() {
        since = OptionalLong.of(nanos.getAsLong());
    }

    synchronized void keep(Notice notice) {
        byJob.computeIfAbsent(notice.job(), j -> new HashMap<>())
                .put(notice.part(), new Kept(nanos.getAsLong(), notice.version()));
    }

    synchronized Hello of(long job) {
        if (since.isEmpty()) {
            return new Hello(0, List.of());
        }
        List<Told> told = new ArrayList<>();
        byJob.getOrDefault(job, Map.of())
                .forEach((part, k) -> told.add(new Told(ago(k.at()), k.version(), part)));
        return new Hello(Math.min(ago(since.getAsLong()), KEPT.toMillis()), told);
    }

    /** Forgets what a page can only have missed that looks at everything. */
    synchronized void forget() {
        for (Map<String, Kept> parts : byJob.values()) {
            parts.values().removeIf(k -> ago(k.at()) > KEPT.toMillis());
        }
        byJob.values().removeIf(Map::isEmpty);
    }

    private long ago(long at) {
        return Duration.ofNanos(nanos.getAsLong() - at).toMillis();
    }
}
