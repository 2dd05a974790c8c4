package app.jerboa.standin.device;

import app.jerboa.wire.octets.Octets;
import java.util.ArrayDeque;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.IntSupplier;

/**
 * An ear at the far end of a tunnel: a stream keeps its order, and all of it takes its time. As
 * with {@link Weather#late}, both ways are waited for on the way in.
 */
public final class LateEar implements TcpPort.Ear {
    /** Does something a while later. */
    interface Later {
        void after(int millis, Runnable task);
    }

    private final TcpPort.Ear ear;
    private final IntSupplier delayMillis;
    private final Later later;
    private final Object turn = new Object();
    private final Queue<Runnable> onTheWay = new ArrayDeque<>();

    /**
     * @param delayMillis each way, asked anew for each piece that comes in
     */
    public LateEar(TcpPort.Ear ear, IntSupplier delayMillis) {
        this(
                ear,
                delayMillis,
                (millis, task) -> Timers.SHARED.schedule(task, millis, TimeUnit.MILLISECONDS));
    }

    LateEar(TcpPort.Ear ear, IntSupplier delayMillis, Later later) {
        this.ear = ear;
        this.delayMillis = delayMillis;
        this.later = later;
    }

    @Override
    public void hear(Octets chunk, Consumer<Octets> reply) {
        int millis = 2 * delayMillis.getAsInt();
        if (waits(millis, () -> ear.hear(chunk, reply))) {
            later.after(millis, this::hearNext);
        } else {
            synchronized (turn) {
                ear.hear(chunk, reply);
            }
        }
    }

    /** One after the other, though several threads may find their time come at once. */
    private void hearNext() {
        synchronized (turn) {
            next().ifPresent(Runnable::run);
        }
    }

    /** What comes while others are on their way comes behind them. */
    private synchronized boolean waits(int millis, Runnable heard) {
        return (millis > 0 || !onTheWay.isEmpty()) && onTheWay.add(heard);
    }

    private synchronized Optional<Runnable> next() {
        return Optional.ofNullable(onTheWay.poll());
    }

    /** What the one before sent does not arrive any more. */
    @Override
    public void afresh() {
        synchronized (this) {
            onTheWay.clear();
        }
        synchronized (turn) {
            ear.afresh();
        }
    }

    @Override
    public boolean stays() {
        return ear.stays();
    }

    @Override
    public void open(Consumer<Octets> say) {
        ear.open(say);
    }

    @Override
    public void gone() {
        ear.gone();
    }

    @Override
    public Octets full() {
        return ear.full();
    }
}
