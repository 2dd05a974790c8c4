package app.jerboa.wire.link.session;

import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/**
 * Brings a head to rest and proves it: the stop is repeated until acknowledged, then the position
 * is read twice; a head that still moves (a late drive can overtake a stop) is stopped again. One
 * that seems to stand is told to stop once more: what came late meanwhile may move it too slowly
 * for two readings to differ. A newer motion ends all that: it must not be stopped by an older stop
 * that is still looking.
 */
public final class Stopping {
    /** How a stop ended. */
    public enum Outcome {
        /** Two readings agreed. */
        STANDING,
        /** Acknowledged each time, and yet it moved: somebody else drives it, or it is broken. */
        MOVING,
        /** A newer motion was sent meanwhile. */
        OVERTAKEN,
        /** It was told as often as the protocol asks, and it tells nothing back. */
        TOLD;

        /** No more can be done about it. */
        public boolean done() {
            return this == STANDING || this == TOLD;
        }
    }

    private static final int ROUNDS = 8;

    /**
     * A head that still moves goes on with a recall, which a drive stop does not end everywhere.
     */
    private static final int CANCELS_FROM = 1;

    /** What no stop and no cancelling ends, a drive takes the place of. */
    private static final int NUDGES_FROM = 3;

    private static final int BETWEEN_READINGS_MILLIS = 120;

    /** Where a head points; without what cannot be read. */
    private record View(
            PanTilt panTilt, Optional<ZoomPosition> zoom, Map<MoreAxis, Integer> axes) {}

    private final ViscaLink link;
    private long motionsBefore;

    private Stopping(ViscaLink link) {
        this.link = link;
    }

    /** Sends both stops before it returns; fails only when the link is closed. */
    static CompletableFuture<Outcome> stop(ViscaLink link) {
        return new Stopping(link).round(ROUNDS);
    }

    /**
     * Both stops, and that of the focus where it was driven, said at once; from the second round on
     * with what else brings a head to rest.
     */
    private CompletableFuture<?> told(int round) {
        synchronized (link) {
            if (round >= CANCELS_FROM) {
                link.cancelMoves();
            }
            if (round >= NUDGES_FROM) {
                link.nudge();
            }
            motionsBefore = link.motionsSent();
            List<CompletableFuture<?>> all = new ArrayList<>();
            all.add(link.drive(0, 0));
            link.axes().keySet().forEach(a -> all.add(link.axis(a, 0)));
            all.add(link.zoom(0));
            if (link.focused()) {
                all.add(link.focus(0));
            }
            return CompletableFuture.allOf(all.toArray(CompletableFuture[]::new));
        }
    }

    private CompletableFuture<Outcome> round(int left) {
        return told(ROUNDS - left)
                .thenCompose(done -> look())
                .thenCompose(
                        first ->
                                after(
                                        BETWEEN_READINGS_MILLIS,
                                        () -> look().thenApply(first::equals)))
                .handle((still, failure) -> next(still, failure, left))
                .thenCompose(outcome -> outcome);
    }

    private CompletableFuture<Outcome> next(Boolean still, Throwable failure, int left) {
        if (link.motionsSent() != motionsBefore) {
            return CompletableFuture.completedFuture(Outcome.OVERTAKEN);
        }
        if (link.isClosed()) {
            return CompletableFuture.failedFuture(new NoAnswer("the link was closed"));
        }
        if (failure != null) {
            // It did not say where it points: whatever that means, the stop is owed still.
            return after(BETWEEN_READINGS_MILLIS, () -> roundUnlessOvertaken(left));
        }
        if (still) {
            return again();
        }
        return left == 1 ? CompletableFuture.completedFuture(Outcome.MOVING) : round(left - 1);
    }

    private CompletableFuture<Outcome> again() {
        synchronized (link) {
            return link.motionsSent() == motionsBefore && !link.isClosed()
                    ? told(0).handle((done, failure) -> afterAgain(failure))
                            .thenCompose(outcome -> outcome)
                    : CompletableFuture.completedFuture(Outcome.OVERTAKEN);
        }
    }

    private CompletableFuture<Outcome> afterAgain(Throwable failure) {
        if (link.motionsSent() != motionsBefore) {
            return CompletableFuture.completedFuture(Outcome.OVERTAKEN);
        }
        return failure == null
                ? CompletableFuture.completedFuture(Outcome.STANDING)
                : CompletableFuture.failedFuture(failure);
    }

    private CompletableFuture<Outcome> roundUnlessOvertaken(int left) {
        synchronized (link) {
            return link.motionsSent() == motionsBefore && !link.isClosed()
                    ? round(left)
                    : CompletableFuture.completedFuture(Outcome.OVERTAKEN);
        }
    }

    private CompletableFuture<View> look() {
        CompletableFuture<Optional<ZoomPosition>> zoom =
                link.askZoom(true).handle((z, failure) -> Optional.ofNullable(z));
        CompletableFuture<Map<MoreAxis, Integer>> axes =
                CompletableFuture.completedFuture(new EnumMap<>(MoreAxis.class));
        for (MoreAxis axis : link.axes().keySet()) {
            CompletableFuture<Optional<Integer>> at =
                    link.askAxis(axis, true).handle((a, failure) -> Optional.ofNullable(a));
            axes = axes.thenCombine(at, (all, place) -> with(all, axis, place));
        }
        return link.askPanTilt(true)
                .thenCombine(zoom, (p, z) -> new View(p, z, Map.of()))
                .thenCombine(axes, (v, a) -> new View(v.panTilt(), v.zoom(), a));
    }

    private static Map<MoreAxis, Integer> with(
            Map<MoreAxis, Integer> all, MoreAxis axis, Optional<Integer> place) {
        place.ifPresent(p -> all.put(axis, p));
        return all;
    }

    private static <T> CompletableFuture<T> after(int millis, Supplier<CompletableFuture<T>> then) {
        Executor pause = CompletableFuture.delayedExecutor(millis, TimeUnit.MILLISECONDS);
        return CompletableFuture.supplyAsync(() -> then, pause).thenCompose(t -> t.get());
    }
}
