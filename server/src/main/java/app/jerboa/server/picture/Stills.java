package app.jerboa.server.picture;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.StillFetch;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The newest picture of each camera, however many pages show it: one is fetched at a time for each
 * camera, a few at once in all, and what is younger than a moment is shown again.
 */
@Component
class Stills {
    private static final Duration FRESH = Duration.ofMillis(150);
    private static final int MOST_KEPT = 256;
    private static final int AT_ONCE = 6;
    private static final int PATIENCE_MILLIS = 2_000;

    private record Key(long job, long device) {}

    private final StillFetch fetch;
    private final Semaphore free = new Semaphore(AT_ONCE);
    private final Cache<Key, byte[]> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(FRESH).build();

    Stills(StillFetch fetch) {
        this.fetch = fetch;
    }

    /**
     * @throws Problem in words when there is none to be had
     */
    byte[] of(Jobs.Stored stored, Device camera) {
        Key key = new Key(stored.id(), camera.id().value());
        try {
            return kept.get(key, k -> inTurn(stored, camera));
        } catch (StillFetch.NoStill e) {
            throw new Problem(HttpStatus.CONFLICT, "no-picture", e.getMessage(), Map.of());
        }
    }

    private byte[] inTurn(Jobs.Stored stored, Device camera) {
        boolean mine = false;
        try {
            mine = free.tryAcquire(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
            if (!mine) {
                throw new Problem(
                        HttpStatus.TOO_MANY_REQUESTS, "busy", Words.say("picture.busy"), Map.of());
            }
            return fetch.fetch(stored, camera);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.notFound("picture");
        } finally {
            if (mine) {
                free.release();
            }
        }
    }
}
