package app.jerboa.server.desk;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicInteger;

/** Tasks of one desk, one after the other, in the order they were asked for. */
final class SerialTasks {
    private static final int MOST_WAITING = 16;

    private final AtomicInteger waiting = new AtomicInteger();
    private CompletableFuture<Void> last = CompletableFuture.completedFuture(null);

    /**
     * @throws RejectedExecutionException when too many wait already
     */
    synchronized void then(Executor threads, Runnable task) {
        if (waiting.incrementAndGet() > MOST_WAITING) {
            waiting.decrementAndGet();
            throw new RejectedExecutionException("too many wishes of one desk");
        }
        last =
                last.handle((done, failure) -> null)
                        .thenRunAsync(task, threads)
                        .whenComplete((done, failure) -> waiting.decrementAndGet());
    }
}
