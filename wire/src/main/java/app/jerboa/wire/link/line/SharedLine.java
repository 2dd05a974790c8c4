package app.jerboa.wire.link.line;

import app.jerboa.wire.link.Listeners;
import app.jerboa.wire.link.Stream;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WirePath;
import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.LongSupplier;

/**
 * A serial line that several devices share. It is used in lock-step, the next frame after the
 * answer to the last, and to a share of what it can carry. The newest drive of a head takes the
 * place of an older one that still waits; a stop goes before everything, at once.
 */
public final class SharedLine implements AutoCloseable {
    /** Of what the line can carry, by the working practice of serial lines. */
    public static final double PACED = 0.7;

    /** A device that is silent so long has lost its turn. */
    private static final long SILENT_NANOS = TimeUnit.MILLISECONDS.toNanos(150);

    private static final int MOST_WAITING = 256;

    private record Waiting(
            Octets frame, LineProtocol.Turn turn, Station station, Transport.Sent sent) {}

    private record Key(LineProtocol protocol, Object replaces) {}

    private final Stream stream;
    private final double nanosAnOctet;
    private final ScheduledExecutorService timer;
    private final LongSupplier clock;
    private final Map<Key, Waiting> queue = new LinkedHashMap<>();
    private final Map<LineProtocol, Heard> heard = new HashMap<>();
    private final Symptoms symptoms = new Symptoms();
    private Waiting unanswered;
    private long silentAt;
    private long freeAt;
    private boolean woken;
    private long wakesAt;

    /** One protocol's ears on this line. */
    private static final class Heard {
        final LineProtocol.Cutter cutter;
        final Map<Integer, Listeners> devices = new HashMap<>();

        Heard(LineProtocol.Cutter cutter) {
            this.cutter = cutter;
        }
    }

    /**
     * @param baud bits a second
     * @param bitsPerCharacter with start, parity and stop bits: 10 for 8N1
     * @param share of what the line can carry, above 0 to 1
     * @param clock nanoseconds
     */
    public SharedLine(
            Stream stream,
            int baud,
            int bitsPerCharacter,
            double share,
            ScheduledExecutorService timer,
            LongSupplier clock) {
        this.stream = stream;
        this.nanosAnOctet = 1e9 * bitsPerCharacter / baud / share;
        this.timer = timer;
        this.clock = clock;
        this.freeAt = clock.getAsLong();
        stream.listen(this::received);
        stream.onOpen(this::afresh);
    }

    /**
     * The way to one device; closing it leaves the line to the others.
     *
     * @param address of the device, 0 for what comes back from all
     * @param onClose run once, when it is closed
     */
    public synchronized Transport to(int address, LineProtocol protocol, Runnable onClose) {
        return new Station(address, protocol, ears(address, protocol), onClose);
    }

    private Listeners ears(int address, LineProtocol protocol) {
        return heard.computeIfAbsent(protocol, p -> new Heard(p.cutter()))
                .devices
                .computeIfAbsent(address, a -> new Listeners());
    }

    /** Half a frame of before belongs to nothing that comes now. */
    private synchronized void afresh() {
        Map<LineProtocol, Heard> before = new HashMap<>(heard);
        before.forEach(
                (protocol, was) -> {
                    Heard now = new Heard(protocol.cutter());
                    now.devices.putAll(was.devices);
                    heard.put(protocol, now);
                });
        unanswered = null;
        pump();
    }

    private synchronized void enqueue(Waiting next) {
        Key key = new Key(next.station().protocol, next.turn().replaces());
        if (next.turn().first()) {
            List<Waiting> dropped =
                    queue.values().stream()
                            .filter(w -> w.station() == next.station() && !w.turn().asks())
                            .toList();
            queue.values().removeAll(dropped);
            write(next);
            dropped.forEach(w -> w.sent().sent(Optional.of("a stop went before it")));
            return;
        }
        if (queue.size() >= MOST_WAITING && !queue.containsKey(key)) {
            next.sent().sent(Optional.of("too much waits for this line"));
            return;
        }
        queue.put(key, next);
        pump();
    }

    /** Sends what may go now, or asks to be woken when something may. */
    private synchronized void pump() {
        long now = clock.getAsLong();
        while (!queue.isEmpty()) {
            long ready = unanswered == null ? freeAt : Math.max(freeAt, silentAt);
            if (now - ready < 0) {
                wakeAt(ready, now);
                return;
            }
            Iterator<Waiting> first = queue.values().iterator();
            Waiting next = first.next();
            first.remove();
            write(next);
        }
    }

    /** Never later than was asked for before. */
    private void wakeAt(long at, long now) {
        if (woken && at - wakesAt >= 0) {
            return;
        }
        woken = true;
        wakesAt = at;
        try {
            timer.schedule(() -> wake(at), at - now, TimeUnit.NANOSECONDS);
        } catch (RejectedExecutionException stopping) {
            woken = false;
        }
    }

    private synchronized void wake(long at) {
        woken = woken && wakesAt != at;
        pump();
    }

    private void write(Waiting next) {
        long now = clock.getAsLong();
        long takes = (long) (next.turn().octets() * nanosAnOctet);
        freeAt = Math.max(now, freeAt) + takes;
        if (!next.turn().first()) {
            unanswered = next.turn().answered() ? next : null;
            silentAt = freeAt + SILENT_NANOS;
        }
        stream.send(next.frame(), next.sent());
    }

    private void received(Octets chunk) {
        for (Map.Entry<LineProtocol, Heard> ears : ears().entrySet()) {
            for (Decoded<Octets> frame : cut(ears.getValue(), chunk)) {
                if (frame instanceof Decoded.Rejected<Octets> it) {
                    rejected(it.octets());
                }
                frame.toOptional().ifPresent(f -> heard(ears.getKey(), f));
            }
        }
    }

    private synchronized Map<LineProtocol, Heard> ears() {
        return new HashMap<>(heard);
    }

    private synchronized List<Decoded<Octets>> cut(Heard ears, Octets chunk) {
        return ears.cutter.cut(chunk.toArray());
    }

    private synchronized void rejected(Octets octets) {
        symptoms.notUnderstood(octets);
    }

    private void heard(LineProtocol protocol, Octets frame) {
        List<Listeners> to;
        synchronized (this) {
            int from = protocol.from(frame);
            Map<Integer, Listeners> devices = heard.get(protocol).devices;
            to =
                    protocol.concernsAll(frame)
                            ? List.copyOf(devices.values())
                            : Optional.ofNullable(devices.get(from)).stream().toList();
            if (from < 0) {
                symptoms.echoed();
            } else {
                symptoms.heard();
            }
        }
        to.forEach(listeners -> listeners.tell(frame));
        synchronized (this) {
            if (unanswered != null
                    && unanswered.station().protocol.equals(protocol)
                    && protocol.ends(unanswered.frame(), frame)) {
                unanswered = null;
                pump();
            }
        }
    }

    /** Why nothing goes over this line, or what looks wrong on it, in words. */
    public synchronized Optional<String> trouble() {
        return stream.trouble().or(symptoms::words);
    }

    @Override
    public void close() {
        stream.close();
    }

    private final class Station implements Transport {
        private final int address;
        private final LineProtocol protocol;
        private final Listeners listeners;
        private final AtomicReference<Runnable> onClose;

        Station(int address, LineProtocol protocol, Listeners listeners, Runnable onClose) {
            this.address = address;
            this.protocol = protocol;
            this.listeners = listeners;
            this.onClose = new AtomicReference<>(onClose);
        }

        @Override
        public void send(Octets octets, Sent sent) {
            enqueue(new Waiting(octets, protocol.turn(octets), this, sent));
        }

        @Override
        public Subscription listen(Consumer<Octets> onOctets) {
            return listeners.add(onOctets);
        }

        @Override
        public Optional<String> trouble() {
            return SharedLine.this.trouble();
        }

        @Override
        public Optional<WirePath> path() {
            return stream.path();
        }

        /** What it still wanted to say is dropped, but for stops, which never wait. */
        @Override
        public void close() {
            synchronized (SharedLine.this) {
                queue.values().removeIf(w -> w.station() == this);
            }
            Optional.ofNullable(onClose.getAndSet(null)).ifPresent(Runnable::run);
        }

        @Override
        public String toString() {
            return "device " + address;
        }
    }
}
