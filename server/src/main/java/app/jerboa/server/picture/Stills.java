package app.jerboa.server.picture;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.StillFetch;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Expiry;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The newest picture of each camera, however many pages show it: one is fetched at a time for each
 * camera, a few at once in all, and what is younger than a moment is shown again. One that gave
 * none is left alone for a while, so that a dark camera does not hold up those that answer.
 */
@Component
public class Stills {
    private static final Duration FRESH = Duration.ofMillis(150);

    /** It takes a program and a second or two to look into a stream. */
    private static final Duration FRESH_STREAMED = Duration.ofSeconds(2);

    private static final Duration LEFT_ALONE = Duration.ofSeconds(2);
    private static final int MOST_KEPT = 256;
    private static final int AT_ONCE = 6;
    private static final int MOST_WAITING = 64;

    /** Longer than a stream is looked into, so that what came of that is what is said. */
    private static final int PATIENCE_MILLIS = 7_000;

    private record Key(long job, long device) {}

    /**
     * What came.
     *
     * @param why there is none; blank for a picture
     * @param kept for so long
     */
    private record Got(Optional<byte[]> picture, String why, Duration kept) {
        static Got not(String why) {
            return new Got(Optional.empty(), why, LEFT_ALONE);
        }
    }

    private final StillFetch fetch;
    private final StreamStill stream;
    private final Worlds worlds;
    private final ExecutorService threads = Threads.few("stills", AT_ONCE, MOST_WAITING);
    private final AsyncCache<Key, Got> kept =
            Caffeine.newBuilder()
                    .maximumSize(MOST_KEPT)
                    .expireAfter(Expiry.<Key, Got>creating((k, got) -> got.kept()))
                    .buildAsync();

    Stills(StillFetch fetch, StreamStill stream, Worlds worlds) {
        this.stream = stream;
        this.worlds = worlds;
        this.fetch = fetch;
    }

    /**
     * @throws Problem in words when there is none to be had
     */
    public byte[] of(Jobs.Stored stored, Device camera) {
        Got got = got(stored, camera);
        return got.picture()
                .orElseThrow(
                        () -> new Problem(HttpStatus.CONFLICT, "no-picture", got.why(), Map.of()));
    }

    private Got got(Jobs.Stored stored, Device camera) {
        Key key = new Key(stored.id(), camera.id().value());
        try {
            return kept.get(
                            key,
                            (k, e) ->
                                    CompletableFuture.supplyAsync(
                                            () -> fetched(stored, camera), threads))
                    .get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
        } catch (RejectedExecutionException | TimeoutException e) {
            throw new Problem(
                    HttpStatus.TOO_MANY_REQUESTS, "busy", Words.say("picture.busy"), Map.of());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.notFound("picture");
        } catch (ExecutionException e) {
            throw e.getCause() instanceof RuntimeException broken
                    ? broken
                    : new IllegalStateException(e.getCause());
        }
    }

    private Got fetched(Jobs.Stored stored, Device camera) {
        try {
            boolean streamed =
                    !StillFetch.gives(camera)
                            && StreamStill.streams(camera)
                            && worlds.choice(stored.id()) == WorldChoice.LIVE;
            return streamed
                    ? new Got(Optional.of(stream.fetch(stored, camera)), "", FRESH_STREAMED)
                    : new Got(Optional.of(fetch.fetch(stored, camera)), "", FRESH);
        } catch (StillFetch.NoStill | NoPicture | Problem e) {
            return Got.not(e.getMessage());
        }
    }

    @PreDestroy
    void close() {
        threads.shutdownNow();
    }
}
