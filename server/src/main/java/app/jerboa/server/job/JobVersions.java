package app.jerboa.server.job;

import app.jerboa.core.job.Job;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * The newest versions of jobs, kept with all that was worked out from them: a job does not change
 * at a version, so that whatever server holds it holds the same. The database says which version is
 * present.
 */
@Component
public class JobVersions {
    /** Of all jobs that are kept, in items: some 400 MB with what is worked out from them. */
    private static final long MOST_ITEMS = 200_000;

    private static final Comparator<Jobs.Stored> NEWEST_FIRST =
            Comparator.comparingLong(Jobs.Stored::version)
                    .thenComparingLong(Jobs.Stored::observed)
                    .reversed();

    /** Of one job beside its newest version, in items and in versions: what pages may be behind. */
    private static final int MOST_EARLIER_ITEMS = 20_000;

    private static final int MOST_EARLIER = 8;

    private static final Duration UNTOUCHED = Duration.ofMinutes(30);

    /** Then the job is read anew, which takes about as long for a large one. */
    private static final int LONGEST_COMMIT_MILLIS = 300;

    /**
     * Of one job.
     *
     * @param versions newest first, never empty
     */
    private record Kept(List<Jobs.Stored> versions) {
        @SuppressWarnings("ReferenceEquality") // It is the very object that must not forget.
        Kept with(Jobs.Stored added) {
            List<Jobs.Stored> all = new ArrayList<>(versions);
            all.add(added);
            all.sort(NEWEST_FIRST);
            // What was only observed since may share its plan with the newest one.
            all.stream()
                    .map(Jobs.Stored::job)
                    .filter(j -> j != all.get(0).job())
                    .forEach(Job::forget);
            int room = MOST_EARLIER_ITEMS + all.get(0).items();
            List<Jobs.Stored> fitting = new ArrayList<>();
            for (Jobs.Stored s : all) {
                room -= s.items();
                // A page is seldom more than one change behind: that one is always held.
                if (fitting.size() < 2 || room >= 0 && fitting.size() <= MOST_EARLIER) {
                    fitting.add(s);
                }
            }
            return new Kept(List.copyOf(fitting));
        }

        /**
         * @param observed the least that must be known
         */
        Optional<Jobs.Stored> at(long version, long observed) {
            return versions.stream()
                    .filter(s -> s.version() == version && s.observed() >= observed)
                    .findFirst();
        }

        Optional<Jobs.Stored> exactly(long version, long observed) {
            return versions.stream()
                    .filter(s -> s.version() == version && s.observed() == observed)
                    .findFirst();
        }

        int items() {
            return versions.stream().mapToInt(Jobs.Stored::items).sum();
        }
    }

    /** Made by a transaction that is not known to have ended. */
    private static final class Committing {
        private final Jobs.Stored stored;
        private final Thread by = Thread.currentThread();
        private final CountDownLatch ended = new CountDownLatch(1);

        Committing(Jobs.Stored stored) {
            this.stored = stored;
        }

        boolean isThere(long version, long observed) {
            return stored.version() == version && stored.observed() >= observed;
        }

        /** Waits a little; false when it was not seen to end. */
        boolean ended() {
            try {
                return ended.await(LONGEST_COMMIT_MILLIS, TimeUnit.MILLISECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }
    }

    /** Of each job the one that was made last: whoever changes a job has locked it. */
    private final Map<Long, Committing> committing = new ConcurrentHashMap<>();

    private final Cache<Long, Kept> jobs =
            Caffeine.newBuilder()
                    .maximumWeight(MOST_ITEMS)
                    .weigher((Long job, Kept kept) -> kept.items())
                    .expireAfterAccess(UNTOUCHED)
                    .build();

    /**
     * At that version, with at least so much observed. One that this server is just committing is
     * waited for: the database may tell of it sooner than whoever made it can keep it.
     */
    Optional<Jobs.Stored> at(long job, long version, long observed) {
        Optional<Jobs.Stored> held = held(job, version, observed);
        Committing made = held.isEmpty() ? committing.get(job) : null;
        if (made == null || !made.isThere(version, observed)) {
            return held;
        }
        if (made.by.equals(Thread.currentThread())) {
            return Optional.of(made.stored);
        }
        return made.ended() ? held(job, version, observed) : Optional.empty();
    }

    private Optional<Jobs.Stored> held(long job, long version, long observed) {
        return Optional.ofNullable(jobs.getIfPresent(job)).flatMap(k -> k.at(version, observed));
    }

    /** As it was then. */
    Optional<Jobs.Stored> exactly(long job, long version, long observed) {
        return Optional.ofNullable(jobs.getIfPresent(job))
                .flatMap(k -> k.exactly(version, observed));
    }

    /** The one that was there first, where two loaded the same version at once. */
    Jobs.Stored keep(Jobs.Stored stored) {
        Kept kept =
                jobs.asMap()
                        .compute(
                                stored.id(),
                                (job, held) ->
                                        held == null
                                                ? new Kept(List.of(stored))
                                                : held.exactly(stored.version(), stored.observed())
                                                                .isPresent()
                                                        ? held
                                                        : held.with(stored));
        return kept.exactly(stored.version(), stored.observed()).orElse(stored);
    }

    /** What a transaction makes is a version only when it has committed. */
    void keepOnceCommitted(Jobs.Stored stored) {
        Committing made = new Committing(stored);
        TransactionSynchronizationManager.registerSynchronization(
                new TransactionSynchronization() {
                    @Override
                    public void afterCompletion(int status) {
                        try {
                            if (status == STATUS_COMMITTED) {
                                keep(stored);
                            }
                        } finally {
                            committing.remove(stored.id(), made);
                            made.ended.countDown();
                        }
                    }
                });
        committing.put(stored.id(), made);
    }
}
