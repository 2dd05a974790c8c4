package app.jerboa.server.desk;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;

/** Tasks of one desk, one after the other, in the order they were asked for. */
final class SerialTasks {
    private static final int MOST_WAITING = 16;

    private final AtomicInteger waiting = new AtomicInteger();
    private CompletableFuture<Void> last = CompletableFuture.completedFuture(null);

    /**
     * @param refused run instead when too many wait already, or no thread is free
     */
    synchronized void then(Executor threads, Runnable task, Runnable refused) {
        if (waiting.incrementAndGet() > MOST_WAITING) {
            waiting.decrementAndGet();
            refused.run();
            return;
        }
        last =
                last.handle((done, failure) -> null)
                        .thenRunAsync(task, threads)
                        .whenComplete(
                                (done, failure) -> {
                                    waiting.decrementAndGet();
                                    if (failure != null) {
                                        refused.run();
                                    }
                                });
    }
}
