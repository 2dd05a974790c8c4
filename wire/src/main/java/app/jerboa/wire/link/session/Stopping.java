package app.jerboa.wire.link.session;

import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;

/**
 * Brings a head to rest and proves it: the stop is repeated until acknowledged, then the position
 * is read twice; a head that still moves (a late drive can overtake a stop) is stopped again. A
 * newer drive ends all that: it must not be stopped by an older stop that is still looking.
 */
public final class Stopping {
    /** How a stop ended. */
    public enum Outcome {
        /** Two readings agreed. */
        STANDING,
        /** Acknowledged each time, and yet it moved. */
        MOVING,
        /** A newer drive was sent meanwhile. */
        OVERTAKEN
    }

    private static final int ROUNDS = 4;
    private static final int BETWEEN_READINGS_MILLIS = 120;

    private final ViscaLink link;
    private long sent;

    private Stopping(ViscaLink link) {
        this.link = link;
    }

    /** Sends both stops before it returns; fails when the head never acknowledged. */
    public static CompletableFuture<Outcome> stop(ViscaLink link) {
        return new Stopping(link).round(ROUNDS);
    }

    private CompletableFuture<Outcome> round(int left) {
        CompletableFuture<?> drive;
        CompletableFuture<?> zoom;
        synchronized (link) {
            drive = link.drive(ViscaRequest.Drive.STOP);
            zoom = link.zoom(ViscaRequest.Zoom.STOP);
            sent = link.drivesSent();
        }
        return CompletableFuture.allOf(drive, zoom)
                .thenCompose(done -> link.askPanTilt(true))
                .thenCompose(first -> later().thenApply(first::equals))
                .handle((still, failure) -> next(still, failure, left))
                .thenCompose(outcome -> outcome);
    }

    private CompletableFuture<Outcome> next(Boolean still, Throwable failure, int left) {
        if (link.drivesSent() != sent) {
            return CompletableFuture.completedFuture(Outcome.OVERTAKEN);
        }
        if (failure != null) {
            return CompletableFuture.failedFuture(failure);
        }
        if (still) {
            return CompletableFuture.completedFuture(Outcome.STANDING);
        }
        return left == 1 ? CompletableFuture.completedFuture(Outcome.MOVING) : round(left - 1);
    }

    private CompletableFuture<PanTilt> later() {
        Executor pause =
                CompletableFuture.delayedExecutor(BETWEEN_READINGS_MILLIS, TimeUnit.MILLISECONDS);
        return CompletableFuture.supplyAsync(() -> link, pause)
                .thenCompose(l -> l.askPanTilt(true));
    }
}
