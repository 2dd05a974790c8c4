package app.jerboa.server.tally;

import app.jerboa.server.knobs.TallyFetch;
import app.jerboa.server.platform.Problem;
import app.jerboa.wire.link.switcher.ProgrammeQuestion;
import app.jerboa.wire.link.switcher.SwitcherLink;
import java.util.OptionalInt;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A switcher that is asked over HTTP: once more with each look, never twice at once. Whoever looks
 * never waits for it; what it said grows old while it is silent.
 */
final class AskedEar implements ProgrammeEar {
    private static final Logger LOG = LoggerFactory.getLogger(AskedEar.class);

    private final ProgrammeQuestion question;
    private final Supplier<String> ask;
    private final Executor threads;
    private final LongSupplier nanos;
    private final Runnable onChange;
    private final AtomicBoolean asking = new AtomicBoolean();
    private volatile boolean closed;
    private volatile Heard heard = new Heard(OptionalInt.empty(), 0);

    private record Heard(OptionalInt programme, long at) {}

    /**
     * @param ask waits for its answer
     * @param nanos a clock for ages
     * @param onChange another input is on programme; it must return at once
     */
    AskedEar(
            ProgrammeQuestion question,
            Supplier<String> ask,
            Executor threads,
            LongSupplier nanos,
            Runnable onChange) {
        this.question = question;
        this.ask = ask;
        this.threads = threads;
        this.nanos = nanos;
        this.onChange = onChange;
    }

    @Override
    public OptionalInt programme() {
        if (!closed && asking.compareAndSet(false, true)) {
            try {
                threads.execute(this::askOnce);
            } catch (RejectedExecutionException busy) {
                asking.set(false);
            }
        }
        Heard last = heard;
        boolean fresh = nanos.getAsLong() - last.at() <= SwitcherLink.FRESH.toNanos();
        return fresh ? last.programme() : OptionalInt.empty();
    }

    private void askOnce() {
        try {
            OptionalInt told = question.programme(ask.get());
            if (told.isPresent() && !closed) {
                boolean changed = !told.equals(heard.programme());
                heard = new Heard(told, nanos.getAsLong());
                if (changed) {
                    onChange.run();
                }
            }
        } catch (TallyFetch.NotSaid | Problem silent) {
            LOG.debug("no tally: {}", silent.getMessage());
        } finally {
            asking.set(false);
        }
    }

    @Override
    public void close() {
        closed = true;
    }
}
