package app.jerboa.wire.link.session;

import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Requests and replies over one transport: numbered, resent with the same number until answered or
 * given up, matched. Knows no device and no protocol but through its {@link Dialect}. Frames go out
 * first and are told to the log afterwards.
 */
final class Session<Q, A> {
    private static final Logger LOG = LoggerFactory.getLogger(Session.class);

    /** A device may refuse so many numbers of one request at once; then it waits for its resend. */
    private static final int QUICK_RENUMBERINGS = 1;

    private final Transport transport;
    private final Dialect<Q, A> dialect;
    private final ScheduledExecutorService timer;
    private final InstantSource clock;
    private final WireLog log;
    private final Map<Long, Exchange<Q, A>> underWay = new LinkedHashMap<>();
    private final Runnable afresh;
    private final Health health;
    private volatile Consumer<A> onUnasked = reply -> {};
    private long nextSequence = 1;
    private boolean closed;

    /** A look at what is unanswered is due, at that nanosecond. */
    private boolean looks;

    private long looksAt;

    /**
     * @param afresh what starts the numbers anew at the device; does nothing in a dialect without
     */
    Session(
            Transport transport,
            Dialect<Q, A> dialect,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log,
            Runnable afresh) {
        this.transport = transport;
        this.dialect = dialect;
        this.timer = timer;
        this.clock = clock;
        this.log = log;
        this.afresh = afresh;
        this.health = new Health(clock, transport::trouble);
        transport.listen(this::received);
    }

    /**
     * @param told of what comes in and answers nothing, on the thread that read it
     */
    void onUnasked(Consumer<A> told) {
        onUnasked = told;
    }

    Health health() {
        return health;
    }

    synchronized boolean isClosed() {
        return closed;
    }

    Exchange<Q, A> start(Q request, boolean polling) {
        return start(request, polling, Optional.empty());
    }

    /**
     * @param called what the request is called in the log; empty for the words of its octets
     */
    synchronized Exchange<Q, A> start(Q request, boolean polling, Optional<String> called) {
        Exchange<Q, A> exchange =
                new Exchange<>(
                        request, polling, () -> called.orElseGet(() -> dialect.words(request)));
        if (closed) {
            exchange.reply.completeExceptionally(new NoAnswer("the link is closed"));
            return exchange;
        }
        number(exchange);
        sendAndWatch(exchange);
        return exchange;
    }

    /**
     * In the stead of an older one, which is waited for no longer. At once: a reply that names no
     * number is the oldest request's, and an answer to the new one must not pass for one to that.
     *
     * @param older null for none
     */
    synchronized Exchange<Q, A> startInstead(
            Exchange<Q, A> older, Q request, Optional<String> called, String why) {
        boolean waitedFor = older != null && underWay.remove(older.sequence, older);
        try {
            return start(request, false, called);
        } finally {
            if (waitedFor) {
                fail(older, why);
            }
        }
    }

    /** It is neither answered nor given up yet. */
    synchronized boolean isUnderWay(Exchange<Q, A> exchange) {
        return underWay.get(exchange.sequence) == exchange;
    }

    /** Sends it once more, beside its resends. */
    synchronized void again(Exchange<Q, A> exchange) {
        send(exchange.datagram, exchange.words, exchange.polling, () -> notCounted(exchange));
    }

    private synchronized void notCounted(Exchange<Q, A> exchange) {
        if (dialect.owed(exchange.request)) {
            exchange.sent--;
        }
    }

    /** It is waited for no longer. */
    synchronized void abandon(Exchange<Q, A> exchange, String why) {
        if (underWay.remove(exchange.sequence, exchange)) {
            fail(exchange, why);
        }
    }

    private void number(Exchange<Q, A> exchange) {
        while (underWay.containsKey(nextSequence)) {
            nextSequence = (nextSequence + 1) % dialect.sequences();
        }
        exchange.sequence = nextSequence;
        nextSequence = (nextSequence + 1) % dialect.sequences();
        exchange.datagram = dialect.encode(exchange.request, exchange.sequence);
        underWay.put(exchange.sequence, exchange);
    }

    private synchronized void sendAndWatch(Exchange<Q, A> exchange) {
        if (closed || !isUnderWay(exchange)) {
            return;
        }
        if (exchange.sent >= dialect.tries(exchange.request)) {
            ended(exchange);
            return;
        }
        exchange.sent++;
        exchange.sentAt = System.nanoTime();
        int millis = dialect.millisToResend(exchange.request, exchange.sent);
        exchange.dueAt = exchange.sentAt + TimeUnit.MILLISECONDS.toNanos(millis);
        // The frame first: waking the timer takes as long as sending it.
        try {
            again(exchange);
        } finally {
            lookAt(exchange.dueAt);
        }
    }

    /**
     * One look for all that is unanswered, at the earliest time it is due: a look for each frame
     * wakes the timer as often as a stick is read.
     */
    private void lookAt(long due) {
        if (looks && due - looksAt >= 0) {
            return;
        }
        looks = true;
        looksAt = due;
        try {
            timer.schedule(() -> look(due), due - System.nanoTime(), TimeUnit.NANOSECONDS);
        } catch (RejectedExecutionException stopping) {
            looks = false;
        }
    }

    /**
     * What fails for one request keeps no other from going out again, nor from being looked for.
     */
    private synchronized void look(long due) {
        if (!looks || looksAt != due) {
            return;
        }
        looks = false;
        long now = System.nanoTime();
        try {
            underWay.values().stream()
                    .filter(e -> now - e.dueAt >= 0)
                    .toList()
                    .forEach(this::sendAgain);
        } finally {
            underWay.values().forEach(e -> lookAt(e.dueAt));
        }
    }

    private void sendAgain(Exchange<Q, A> exchange) {
        try {
            sendAndWatch(exchange);
        } catch (RuntimeException e) {
            LOG.warn("a frame could not be sent again, and is tried once more", e);
        }
    }

    private void ended(Exchange<Q, A> exchange) {
        String words = exchange.words.get();
        if (dialect.answered(exchange.request)) {
            health.missed("no answer to \"" + words + "\"");
            abandon(exchange, "no answer to \"" + words + "\"");
        } else if (underWay.remove(exchange.sequence, exchange)) {
            later(() -> exchange.reply.complete(dialect.received()));
        }
    }

    /** On another thread: whoever waits may call back into this link, which is locked here. */
    private void fail(Exchange<Q, A> exchange, String why) {
        later(() -> exchange.reply.completeExceptionally(new NoAnswer(why)));
    }

    /** The same, told on a thread that may be kept a while. */
    <T> CompletableFuture<T> toldElsewhere(CompletableFuture<T> outcome) {
        return outcome.whenCompleteAsync((done, failure) -> {}, this::later);
    }

    private void later(Runnable tell) {
        try {
            timer.execute(tell);
        } catch (RejectedExecutionException stopping) {
            tell.run();
        }
    }

    /**
     * Sends what is no request and waits for nothing. What cannot go out is the same to us as a
     * lost datagram, and resent like one.
     */
    void write(Octets datagram, String meaning, boolean polling) {
        send(datagram, () -> meaning, polling, () -> {});
    }

    private void send(
            Octets datagram, Supplier<String> meaning, boolean polling, Runnable notSent) {
        transport.send(
                datagram,
                trouble -> {
                    trouble.ifPresent(t -> notSent.run());
                    note(
                            WireLog.Direction.SENT,
                            datagram,
                            trouble.<Supplier<String>>map(
                                            t -> () -> meaning.get() + " (not sent: " + t + ")")
                                    .orElse(meaning),
                            polling);
                });
    }

    private void note(
            WireLog.Direction direction, Octets datagram, Supplier<String> words, boolean polling) {
        log.add(
                new WireLog.Entry(
                        clock.instant(),
                        System.nanoTime(),
                        direction,
                        datagram,
                        words,
                        transport.path(),
                        polling));
    }

    /** A reply and the request it belongs to. */
    private record Matched<Q, A>(Exchange<Q, A> exchange, A reply) {}

    private void received(Octets datagram) {
        Heard<A> heard = dialect.read(datagram);
        Optional<Matched<Q, A>> matched = match(heard);
        boolean polling = matched.map(m -> m.exchange().polling).orElse(false);
        note(WireLog.Direction.RECEIVED, datagram, words(matched, datagram), polling);
        if (matched.isPresent()) {
            health.answered(System.nanoTime() - matched.get().exchange().sentAt);
            matched.get().exchange().reply.complete(matched.get().reply());
        } else if (heard instanceof Heard.Reply<A> it) {
            onUnasked.accept(it.reply());
        }
    }

    /** Of all that was sent and heard the log keeps the request and the datagram alone. */
    private Supplier<String> words(Optional<Matched<Q, A>> matched, Octets datagram) {
        if (matched.isEmpty()) {
            return () -> dialect.words(datagram);
        }
        Q request = matched.get().exchange().request;
        return () -> dialect.words(request, datagram);
    }

    private synchronized Optional<Matched<Q, A>> match(Heard<A> heard) {
        if (heard instanceof Heard.Reply<A> it && dialect.busy(it.reply())) {
            return Optional.empty();
        } else if (heard instanceof Heard.Reply<A> it) {
            Optional<Exchange<Q, A>> exchange = requestFor(it);
            exchange.ifPresent(e -> underWay.remove(e.sequence));
            return exchange.map(e -> new Matched<>(e, it.reply()));
        } else if (heard instanceof Heard.NumberRefused<A> it) {
            return numberRefused(underWay.get(it.sequence()));
        } else if (heard instanceof Heard.NotReadable<A> it) {
            Exchange<Q, A> exchange = underWay.get(it.sequence());
            boolean endless =
                    exchange != null && dialect.tries(exchange.request) == Integer.MAX_VALUE;
            if (exchange != null && !endless) {
                abandon(exchange, "the camera could not read \"" + exchange.words.get() + "\"");
            }
        }
        return Optional.empty();
    }

    /** Without a sequence, a reply belongs to the oldest request of its kind. */
    private Optional<Exchange<Q, A>> requestFor(Heard.Reply<A> heard) {
        if (heard.sequence().isPresent()) {
            return Optional.ofNullable(underWay.get(heard.sequence().get()))
                    .filter(e -> dialect.settles(e.request, heard.reply()));
        }
        return underWay.values().stream()
                .filter(e -> dialect.settles(e.request, heard.reply()))
                .findFirst();
    }

    /**
     * A number refused on a resend means that the first was received: a command is done with, an
     * inquiry is asked anew. A number refused at once is given anew after a fresh start.
     */
    private Optional<Matched<Q, A>> numberRefused(Exchange<Q, A> exchange) {
        if (exchange == null) {
            return Optional.empty();
        }
        underWay.remove(exchange.sequence);
        boolean first = exchange.sent == 1;
        if (!first && exchange.renumbered == 0 && !dialect.asks(exchange.request)) {
            return Optional.of(new Matched<>(exchange, dialect.received()));
        }
        if (first) {
            startAfresh();
        }
        number(exchange);
        if (++exchange.renumbered <= QUICK_RENUMBERINGS) {
            again(exchange);
        }
        return Optional.empty();
    }

    /** Counts from somewhere that another controller of the device is not likely to be. */
    synchronized void startApart() {
        nextSequence = ThreadLocalRandom.current().nextLong(dialect.sequences() / 2) + 1;
    }

    /** Counts from 1 again, and tells the device. */
    synchronized void startAfresh() {
        nextSequence = 1;
        afresh.run();
    }

    void close() {
        List<Exchange<Q, A>> left;
        synchronized (this) {
            closed = true;
            left = List.copyOf(underWay.values());
            underWay.clear();
        }
        transport.close();
        left.forEach(e -> fail(e, "the link was closed"));
    }
}
