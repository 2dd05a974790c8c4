package app.jerboa.server.desk;

import app.jerboa.server.words.Words;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.LongSupplier;

/**
 * Tells whoever drives that the chain of their camera has changed; seldom, since a line that says
 * so again and again must not crowd out what the page is told.
 */
final class ChainNotice implements Runnable {
    private static final long SELDOM_NANOS = TimeUnit.SECONDS.toNanos(30);

    private final Screen screen;
    private final long camera;
    private final LongSupplier clock;
    private final AtomicLong next;

    /**
     * @param clock nanoseconds
     */
    ChainNotice(Screen screen, long camera, LongSupplier clock) {
        this.screen = screen;
        this.camera = camera;
        this.clock = clock;
        this.next = new AtomicLong(clock.getAsLong());
    }

    @Override
    public void run() {
        long now = clock.getAsLong();
        long due = next.get();
        if (now - due >= 0 && next.compareAndSet(due, now + SELDOM_NANOS)) {
            screen.tell(new DeskMessages.Trouble(Optional.of(camera), Words.say("chain.changed")));
        }
    }
}
