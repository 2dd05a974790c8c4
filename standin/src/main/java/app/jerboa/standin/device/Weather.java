package app.jerboa.standin.device;

import java.util.Random;
import java.util.concurrent.TimeUnit;

/** What a poor network does to datagrams on their way, in each direction. Repeats from its seed. */
public final class Weather {
    private static final int ALL = 100;

    /** Late enough to come after what was sent next. */
    private static final int REORDERED_MILLIS = 40;

    private final int lossPercent;
    private final int delayMillis;
    private final int reorderPercent;
    private final int duplicatePercent;
    private final Random random;

    /**
     * @param delayMillis of every datagram, each way
     */
    public Weather(
            int lossPercent, int delayMillis, int reorderPercent, int duplicatePercent, long seed) {
        this.lossPercent = lossPercent;
        this.delayMillis = delayMillis;
        this.reorderPercent = reorderPercent;
        this.duplicatePercent = duplicatePercent;
        this.random = new Random(seed);
    }

    public static Weather fair() {
        return new Weather(0, 0, 0, 0, 0);
    }

    /** Hands a datagram on: never, once or twice, now or later. */
    void pass(Runnable deliver) {
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
        after(delayMillis + (late ? REORDERED_MILLIS : 0), deliver);
        if (twice) {
            after(delayMillis, deliver);
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
