package app.jerboa.standin.device;

import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.function.IntSupplier;

/** What a poor network does to datagrams on their way, in each direction. Repeats from its seed. */
public final class Weather {
    private static final int ALL = 100;

    /** Late enough to come after what was sent next. */
    private static final int REORDERED_MILLIS = 40;

    private final int lossPercent;
    private final IntSupplier delayInMillis;
    private final int delayOutMillis;
    private final int reorderPercent;
    private final int duplicatePercent;
    private final Random random;

    /**
     * @param delayMillis of every datagram, each way
     */
    public Weather(
            int lossPercent, int delayMillis, int reorderPercent, int duplicatePercent, long seed) {
        this(lossPercent, () -> delayMillis, delayMillis, reorderPercent, duplicatePercent, seed);
    }

    private Weather(
            int lossPercent,
            IntSupplier delayInMillis,
            int delayOutMillis,
            int reorderPercent,
            int duplicatePercent,
            long seed) {
        this.lossPercent = lossPercent;
        this.delayInMillis = delayInMillis;
        this.delayOutMillis = delayOutMillis;
        this.reorderPercent = reorderPercent;
        this.duplicatePercent = duplicatePercent;
        this.random = new Random(seed);
    }

    public static Weather fair() {
        return new Weather(0, 0, 0, 0, 0);
    }

    /**
     * Nothing is lost, but the way may be long. Both ways are waited for on the way in: whoever
     * answers holds locks, and must not ask how long the way is.
     *
     * @param delayMillis each way, asked anew for each datagram that comes in
     */
    public static Weather late(IntSupplier delayMillis) {
        return new Weather(0, () -> 2 * delayMillis.getAsInt(), 0, 0, 0, 0);
    }

    /** Hands a datagram on that comes in: never, once or twice, now or later. */
    void passIn(Runnable deliver) {
        pass(delayInMillis.getAsInt(), deliver);
    }

    /** As {@link #passIn}, for one that goes out. */
    void passOut(Runnable deliver) {
        pass(delayOutMillis, deliver);
    }

    private void pass(int delay, Runnable deliver) {
        if (lossPercent == 0 && reorderPercent == 0 && duplicatePercent == 0) {
            after(delay, deliver);
            return;
        }
        boolean lost;
        boolean late;
        boolean twice;
        synchronized (random) {
            lost = random.nextInt(ALL) < lossPercent;
            late = random.nextInt(ALL) < reorderPercent;
            twice = random.nextInt(ALL) < duplicatePercent;
        }
        if (lost) {
            return;
        }
        after(delay + (late ? REORDERED_MILLIS : 0), deliver);
        if (twice) {
            after(delay, deliver);
        }
    }

    private static void after(int millis, Runnable deliver) {
        if (millis == 0) {
            deliver.run();
        } else {
            Timers.SHARED.schedule(deliver, millis, TimeUnit.MILLISECONDS);
        }
    }
}
