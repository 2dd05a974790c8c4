package app.jerboa.wire.link.session;

import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;

/**
 * Brings a head to rest and proves it: the stop is repeated until acknowledged, then the position
 * is read twice; a head that still moves (a late drive can overtake a stop) is stopped again.
 */
public final class Stopping {
    private static final int ROUNDS = 4;
    private static final int BETWEEN_READINGS_MILLIS = 120;

    private Stopping() {}

    /**
     * Sends both stops before it returns.
     *
     * @return whether the head was seen to stand still; fails when it never acknowledged
     */
    public static CompletableFuture<Boolean> stop(ViscaLink link) {
        return round(link, ROUNDS);
    }

    private static CompletableFuture<Boolean> round(ViscaLink link, int left) {
        CompletableFuture<?> drive = link.drive(ViscaRequest.Drive.STOP);
        CompletableFuture<?> zoom = link.zoom(ViscaRequest.Zoom.STOP);
        return CompletableFuture.allOf(drive, zoom)
                .thenCompose(done -> link.askPanTilt(true))
                .thenCompose(first -> later(link).thenApply(first::equals))
                .thenCompose(
                        still ->
                                still || left == 1
                                        ? CompletableFuture.completedFuture(still)
                                        : round(link, left - 1));
    }

    private static CompletableFuture<PanTilt> later(ViscaLink link) {
        Executor pause =
                CompletableFuture.delayedExecutor(BETWEEN_READINGS_MILLIS, TimeUnit.MILLISECONDS);
        return CompletableFuture.supplyAsync(() -> link, pause)
                .thenCompose(l -> l.askPanTilt(true));
    }
}
