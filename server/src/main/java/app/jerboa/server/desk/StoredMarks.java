package app.jerboa.server.desk;

import app.jerboa.server.platform.Threads;
import jakarta.annotation.PreDestroy;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The marks in the database. One thread writes them, so that they are written in the order they
 * were asked for; while the database hangs, nothing new begins to move.
 */
@Component
class StoredMarks implements Marks {
    private static final Logger LOG = LoggerFactory.getLogger(StoredMarks.class);
    private static final int MOST_WAITING = 1_000;

    private final DeskMapper mapper;
    private final Gates gates;
    private final TransactionTemplate transactions;
    private final Set<CameraId> marked = ConcurrentHashMap.newKeySet();
    private final ExecutorService writer = Threads.few("desk-marks", 1, MOST_WAITING);

    StoredMarks(DeskMapper mapper, Gates gates, TransactionTemplate transactions) {
        this.mapper = mapper;
        this.gates = gates;
        this.transactions = transactions;
    }

    @Override
    public boolean isMarked(CameraId camera) {
        return marked.contains(camera);
    }

    @Override
    public CompletableFuture<Void> mark(CameraId camera) {
        try {
            return CompletableFuture.runAsync(() -> store(camera), writer);
        } catch (RejectedExecutionException behind) {
            return CompletableFuture.failedFuture(behind);
        }
    }

    private void store(CameraId camera) {
        transactions.executeWithoutResult(
                t -> {
                    mapper.commitWithoutWaiting();
                    mapper.markMoving(camera);
                    gates.moved(camera);
                });
        marked.add(camera);
    }

    /** Not marked any more from now on, whenever the row goes. */
    @Override
    public void unmark(CameraId camera) {
        if (marked.remove(camera)) {
            try {
                writer.execute(() -> drop(camera));
            } catch (RejectedExecutionException behind) {
                // The row stays, as when the database is away: whoever lets go must not fail here.
                LOG.info("{} is still noted as moving: too much waits to be stored", camera);
            }
        }
    }

    @Override
    public void leave(CameraId camera) {
        marked.remove(camera);
    }

    private void drop(CameraId camera) {
        try {
            mapper.unmarkMoving(camera);
        } catch (RuntimeException e) {
            // The row stays: the head is looked at again when nobody drives it.
            LOG.info("{} is still noted as moving: {}", camera, e.getMessage());
        }
    }

    @PreDestroy
    void stop() throws InterruptedException {
        writer.shutdown();
        writer.awaitTermination(1, TimeUnit.SECONDS);
    }
}
