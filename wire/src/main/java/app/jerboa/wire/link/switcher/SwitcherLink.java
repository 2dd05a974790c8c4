package app.jerboa.wire.link.switcher;

import app.jerboa.wire.link.Stream;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.panel.LineFramer;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.InstantSource;
import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;

/**
 * Hears from a picture switcher which input is on programme: it tells each change by itself, and is
 * asked twice a second, so that its silence is noticed. Nothing is ever switched from here.
 */
public final class SwitcherLink implements AutoCloseable {
    /** What was heard longer ago is no longer known. */
    public static final Duration FRESH = Duration.ofSeconds(2);

    private static final int ASK_MILLIS = 500;

    private final Stream stream;
    private final LongSupplier nanos;
    private final InstantSource clock;
    private final WireLog log;
    private final Runnable onChange;
    private final ProgrammeQuestion question;
    private final LineFramer framer = new LineFramer();
    private final Subscription heard;
    private final Subscription opened;
    private final ScheduledFuture<?> asking;
    private OptionalInt programme = OptionalInt.empty();
    private long heardAt;

    /**
     * @param nanos a clock for ages, in nanoseconds
     * @param onChange another input is on programme; it must return at once
     */
    public SwitcherLink(
            Stream stream,
            ProgrammeQuestion question,
            ScheduledExecutorService timer,
            LongSupplier nanos,
            InstantSource clock,
            WireLog log,
            Runnable onChange) {
        this.stream = stream;
        this.question = question;
        this.nanos = nanos;
        this.clock = clock;
        this.log = log;
        this.onChange = onChange;
        this.heard = stream.listen(this::read);
        this.opened = stream.onOpen(this::afresh);
        this.asking = timer.scheduleWithFixedDelay(this::ask, 0, ASK_MILLIS, TimeUnit.MILLISECONDS);
    }

    private void afresh() {
        synchronized (this) {
            framer.clear();
        }
        ask();
    }

    private void ask() {
        stream.send(LineFramer.frame(question.line()), trouble -> {});
    }

    private void read(Octets octets) {
        List<String> lines;
        synchronized (this) {
            lines = framer.accept(octets);
        }
        lines.forEach(this::line);
    }

    private void line(String line) {
        OptionalInt told = question.programme(line);
        boolean changed;
        synchronized (this) {
            if (told.isEmpty()) {
                return;
            }
            changed = !told.equals(programme);
            programme = told;
            heardAt = nanos.getAsLong();
        }
        if (changed) {
            note(line, told.getAsInt());
            onChange.run();
        }
    }

    private void note(String line, int input) {
        log.add(
                new WireLog.Entry(
                        clock.instant(),
                        System.nanoTime(),
                        WireLog.Direction.RECEIVED,
                        Octets.of(line.getBytes(StandardCharsets.UTF_8)),
                        () -> "input " + input + " is on programme",
                        stream.path(),
                        false));
    }

    /** The input on programme, counted from 1; empty when it did not say so lately. */
    public synchronized OptionalInt programme() {
        return nanos.getAsLong() - heardAt <= FRESH.toNanos() ? programme : OptionalInt.empty();
    }

    @Override
    public void close() {
        asking.cancel(false);
        heard.close();
        opened.close();
        stream.close();
    }
}
