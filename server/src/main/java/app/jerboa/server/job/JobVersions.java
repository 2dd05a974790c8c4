package app.jerboa.server.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Jobs by version, kept with all that was worked out from them: a job does not change at a version,
 * so that whatever server holds it holds the same. The database says which version is present.
 */
@Component
class JobVersions {
    /** Of all jobs that are kept, in items: some 400 MB with what is worked out from them. */
    private static final long MOST_ITEMS = 200_000;

    private static final Duration UNTOUCHED = Duration.ofMinutes(30);

    private record Key(long job, long version) {}

    private final Cache<Key, Jobs.Stored> kept =
            Caffeine.newBuilder()
                    .maximumWeight(MOST_ITEMS)
                    .weigher((Key k, Jobs.Stored s) -> s.items())
                    .expireAfterAccess(UNTOUCHED)
                    .build();

    Optional<Jobs.Stored> at(long job, long version) {
        return Optional.ofNullable(kept.getIfPresent(new Key(job, version)));
    }

    /** The one that was there first, where two loaded the same version at once. */
    Jobs.Stored keep(Jobs.Stored stored) {
        return kept.get(new Key(stored.id(), stored.version()), k -> stored);
    }

    /** What a transaction makes is a version only when it has committed. */
    void keepOnceCommitted(Jobs.Stored stored) {
        TransactionSynchronizationManager.registerSynchronization(
                new TransactionSynchronization() {
                    @Override
                    public void afterCommit() {
                        keep(stored);
                    }
                });
    }
}
