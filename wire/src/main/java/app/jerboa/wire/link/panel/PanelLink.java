package app.jerboa.wire.link.panel;

import app.jerboa.wire.link.Stream;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.WirePath;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.panel.LineFramer;
import app.jerboa.wire.panel.PanelMessage;
import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;

/**
 * A panel's end of the panel link: signs in, turns and asks, hears what the camera pushes, and
 * beats each second. A camera one to one has room for one panel; who holds it is what it says when
 * it refuses.
 */
public final class PanelLink implements AutoCloseable {
    private static final int BEAT_SECONDS = 1;

    private final Stream stream;
    private final PanelMessage.SignIn account;
    private final InstantSource clock;
    private final WireLog log;
    private final Runnable pushed;
    private final LineFramer framer = new LineFramer();
    private final Map<String, Integer> standsAt = new HashMap<>();
    private final List<Waiting> waiting = new ArrayList<>();
    private final CompletableFuture<Void> ready = new CompletableFuture<>();
    private final Subscription heard;
    private final Subscription opened;
    private final ScheduledFuture<?> beating;
    private WirePath greetedOver;
    private boolean signedIn;
    private boolean held;
    private Optional<String> refusal = Optional.empty();

    /**
     * @param key whose value ends the wait; empty for any values
     */
    private record Waiting(Optional<String> key, CompletableFuture<Map<String, Integer>> told) {
        boolean endsWith(Map<String, Integer> values) {
            return key.isEmpty() || values.containsKey(key.get());
        }
    }

    /**
     * @param pushed told when the camera says what it stands at unasked; on the link's own thread,
     *     so it must return at once
     */
    public PanelLink(
            Stream stream,
            PanelMessage.SignIn account,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log,
            Runnable pushed) {
        this.stream = stream;
        this.account = account;
        this.clock = clock;
        this.log = log;
        this.pushed = pushed;
        this.heard = stream.listen(this::read);
        this.opened = stream.onOpen(this::greet);
        this.beating =
                timer.scheduleAtFixedRate(this::beat, BEAT_SECONDS, BEAT_SECONDS, TimeUnit.SECONDS);
        if (stream.trouble().isEmpty()) {
            greet();
        }
    }

    /** Once over each connection: it may open while this end is made. */
    @SuppressWarnings("ReferenceEquality") // Another connection may have the same addresses.
    private void greet() {
        WirePath now = stream.path().orElse(null);
        synchronized (this) {
            if (now != null && now == greetedOver) {
                return;
            }
            greetedOver = now;
            signedIn = false;
            refusal = Optional.empty();
            framer.clear();
        }
        send(account);
    }

    private synchronized boolean isSignedIn() {
        return signedIn;
    }

    private void beat() {
        if (isSignedIn()) {
            send(new PanelMessage.Beat());
        }
    }

    private void send(PanelMessage message) {
        Octets line = LineFramer.frame(message.encode());
        boolean secret = message instanceof PanelMessage.SignIn;
        String words = secret ? message.toString() : message.encode();
        stream.send(
                line,
                trouble -> {
                    if (!(message instanceof PanelMessage.Beat)) {
                        note(
                                WireLog.Direction.SENT,
                                secret ? Octets.of() : line,
                                trouble.map(t -> words + " (not sent: " + t + ")").orElse(words));
                    }
                    trouble.ifPresent(this::failAll);
                });
    }

    private void note(WireLog.Direction direction, Octets octets, String words) {
        log.add(
                new WireLog.Entry(
                        clock.instant(),
                        System.nanoTime(),
                        direction,
                        octets,
                        () -> words,
                        stream.path(),
                        false));
    }

    private void read(Octets octets) {
        List<String> lines;
        synchronized (this) {
            lines = framer.accept(octets);
        }
        lines.forEach(this::line);
    }

    private void line(String line) {
        PanelMessage message = PanelMessage.decode(line).toOptional().orElse(null);
        if (!(message instanceof PanelMessage.Beat)) {
            Octets octets = Octets.of(line.getBytes(StandardCharsets.UTF_8));
            note(WireLog.Direction.RECEIVED, octets, message == null ? "not understood" : line);
        }
        if (message instanceof PanelMessage.SignedIn) {
            synchronized (this) {
                signedIn = true;
            }
            ready.complete(null);
        } else if (message instanceof PanelMessage.Values it) {
            values(it.values());
        } else if (message instanceof PanelMessage.Refused it) {
            refused(it.reason());
        } else if (message instanceof PanelMessage.Held it) {
            synchronized (this) {
                held = true;
            }
            refused(it.reason());
        }
    }

    private void values(Map<String, Integer> values) {
        List<Waiting> done = new ArrayList<>();
        Map<String, Integer> now;
        synchronized (this) {
            standsAt.putAll(values);
            now = Map.copyOf(standsAt);
            waiting.removeIf(w -> w.endsWith(values) && done.add(w));
        }
        done.forEach(w -> w.told().complete(now));
        if (done.isEmpty()) {
            pushed.run();
        }
    }

    /** The oldest wait is what it belongs to: a camera answers in order. */
    private void refused(String reason) {
        Waiting first;
        synchronized (this) {
            if (!signedIn) {
                refusal = Optional.of(reason);
            }
            first = waiting.isEmpty() ? null : waiting.remove(0);
        }
        ready.completeExceptionally(new NoAnswer(reason));
        if (first != null) {
            first.told().completeExceptionally(new NoAnswer(reason));
        }
    }

    private void failAll(String why) {
        List<Waiting> all;
        synchronized (this) {
            all = List.copyOf(waiting);
            waiting.clear();
        }
        all.forEach(w -> w.told().completeExceptionally(new NoAnswer(why)));
    }

    /** Ends when the camera let us in for the first time, or said why not. */
    public CompletableFuture<Void> ready() {
        return ready;
    }

    /** All that the camera stands at. */
    public CompletableFuture<Map<String, Integer>> values() {
        return ask(Optional.empty(), new PanelMessage.Ask(List.of()));
    }

    /** Turns one knob; ends with what the camera then says it stands at. */
    public CompletableFuture<Integer> turn(String key, int value) {
        return ask(Optional.of(key), new PanelMessage.Turn(Map.of(key, value)))
                .thenApply(all -> all.get(key));
    }

    public CompletableFuture<Integer> ask(String key) {
        return ask(Optional.of(key), new PanelMessage.Ask(List.of(key)))
                .thenApply(all -> all.get(key));
    }

    /** Does something that has no value; the camera answers with all it stands at. */
    public CompletableFuture<Map<String, Integer>> tell(String key) {
        return ask(Optional.empty(), new PanelMessage.Do(key));
    }

    private CompletableFuture<Map<String, Integer>> ask(
            Optional<String> key, PanelMessage message) {
        CompletableFuture<Map<String, Integer>> told = new CompletableFuture<>();
        Optional<String> no = trouble();
        if (no.isPresent() || !isSignedIn()) {
            return CompletableFuture.failedFuture(new NoAnswer(no.orElse("not signed in yet")));
        }
        synchronized (this) {
            waiting.add(new Waiting(key, told));
        }
        send(message);
        return told;
    }

    /**
     * Another panel had the one place that there is when this one came first. It is said before any
     * sign-in, and the camera hangs up: what comes after it does not take it back.
     */
    public synchronized boolean held() {
        return held;
    }

    /** Why it cannot be turned, as far as it is known. */
    public Optional<String> trouble() {
        synchronized (this) {
            if (refusal.isPresent()) {
                return refusal;
            }
        }
        return stream.trouble();
    }

    @Override
    public void close() {
        beating.cancel(false);
        heard.close();
        opened.close();
        stream.close();
        failAll("the link was closed");
    }
}
