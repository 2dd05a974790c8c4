package app.jerboa.wire.link.line;

import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaWords;
import java.time.InstantSource;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * The address-set of a VISCA chain: each camera takes the number in the frame and hands on the next
 * one; the last sends it back. It renumbers whatever hangs there, so that only a person begins it.
 */
public final class ChainNumbering {
    /** To all, beginning with 1. */
    private static final Octets FIRST = Octets.of(0x88, 0x30, 0x01, 0xFF);

    private static final int ALL = 0;
    private static final int PATIENCE_MILLIS = 2_000;
    private static final int AGAIN_MILLIS = 100;

    private final Transport all;
    private final ScheduledExecutorService timer;
    private final InstantSource clock;
    private final WireLog log;
    private final CompletableFuture<Integer> count = new CompletableFuture<>();

    public ChainNumbering(
            SharedLine line, ScheduledExecutorService timer, InstantSource clock, WireLog log) {
        this.all = line.to(ALL, new ViscaLine(), () -> {});
        this.timer = timer;
        this.clock = clock;
        this.log = log;
    }

    /**
     * @return how many cameras took a number; fails with {@link
     *     java.util.concurrent.TimeoutException} when nothing came back
     */
    public CompletableFuture<Integer> start() {
        var heard = all.listen(this::heard);
        say();
        return count.orTimeout(PATIENCE_MILLIS, TimeUnit.MILLISECONDS)
                .whenCompleteAsync(
                        (n, failure) -> {
                            heard.close();
                            all.close();
                        },
                        timer);
    }

    /** A line that was opened for this is not connected yet: it is said as soon as it is. */
    private void say() {
        all.send(
                FIRST,
                trouble -> {
                    note(
                            WireLog.Direction.SENT,
                            FIRST,
                            trouble.map(t -> "set addresses (not sent: " + t + ")")
                                    .orElse("set addresses"));
                    if (trouble.isPresent() && !count.isDone()) {
                        again();
                    }
                });
    }

    private void again() {
        try {
            timer.schedule(this::say, AGAIN_MILLIS, TimeUnit.MILLISECONDS);
        } catch (RejectedExecutionException stopping) {
            count.completeExceptionally(stopping);
        }
    }

    private void heard(Octets frame) {
        note(WireLog.Direction.RECEIVED, frame, ViscaWords.of(frame));
        ViscaReply.decode(frame)
                .toOptional()
                .filter(ViscaReply.AddressesSet.class::isInstance)
                .map(ViscaReply.AddressesSet.class::cast)
                .ifPresent(set -> count.complete(set.cameras()));
    }

    private void note(WireLog.Direction direction, Octets frame, String words) {
        log.add(
                new WireLog.Entry(
                        clock.instant(),
                        System.nanoTime(),
                        direction,
                        frame,
                        () -> words,
                        all.path(),
                        false));
    }
}
