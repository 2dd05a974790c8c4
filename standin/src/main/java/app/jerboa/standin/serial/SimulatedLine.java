package app.jerboa.standin.serial;

import app.jerboa.wire.octets.Octets;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.IntSupplier;
import java.util.function.LongSupplier;
import java.util.function.Supplier;

/**
 * A chain or a bus of simulated devices. Octets take their time on it in both directions, a device
 * set to another rate hears noise, and a chain ends where its lead does.
 */
public final class SimulatedLine {
    /** How devices hang on it. */
    public enum Kind {
        /** Each hands on to the next; what is for all comes back from the last. */
        CHAIN,
        /** All hear all. */
        BUS
    }

    /**
     * One device and its place.
     *
     * @param voice empty while it has no power
     */
    public record Station(
            Supplier<? extends Optional<? extends SerialVoice>> voice,
            IntSupplier baud,
            Set<LineFault> faults) {}

    private static final int BITS = 10;
    private static final int HIGH_RATE = 19_200;
    private static final int NOISE_PERCENT = 30;
    private static final int TO_ALL = 0x88;

    private final Kind kind;
    private final int baud;
    private final Set<LineFault> faults;
    private final List<Station> stations;
    private final ScheduledExecutorService timer;
    private final LongSupplier clock;
    private final Random random;
    private final Way outward = new Way();
    private final Way homeward = new Way();

    /** Those that were up when something last came by; empty before anything did. */
    private Optional<Set<Station>> up = Optional.empty();

    private long outFree;
    private long backFree;

    /**
     * @param stations in the order of the leads
     * @param clock nanoseconds
     */
    public SimulatedLine(
            Kind kind,
            int baud,
            Set<LineFault> faults,
            List<Station> stations,
            ScheduledExecutorService timer,
            LongSupplier clock,
            long seed) {
        this.kind = kind;
        this.baud = baud;
        this.faults = faults;
        this.stations = List.copyOf(stations);
        this.timer = timer;
        this.clock = clock;
        this.random = new Random(seed);
        this.outFree = clock.getAsLong();
        this.backFree = outFree;
    }

    /**
     * From the one that drives it, for all devices.
     *
     * @param back gets what comes back, when it is there
     */
    public synchronized void say(Octets octets, Consumer<Octets> back) {
        if (faults.contains(LineFault.ECHO)) {
            talk(octets, back);
        }
        long now = clock.getAsLong();
        outFree = Math.max(now, outFree) + nanos(octets);
        outward.add(() -> arrived(octets, back));
        timer.schedule(outward::next, outFree - now, TimeUnit.NANOSECONDS);
    }

    /** What is on its way in one direction: it arrives in order, whichever thread is first. */
    private static final class Way {
        private final Queue<Runnable> underWay = new ConcurrentLinkedQueue<>();

        /** Without the lock: it is asked by who holds others. */
        private final AtomicInteger open = new AtomicInteger();

        void add(Runnable arrival) {
            open.incrementAndGet();
            underWay.add(arrival);
        }

        synchronized void next() {
            try {
                underWay.remove().run();
            } finally {
                open.decrementAndGet();
            }
        }

        boolean empty() {
            return open.get() == 0;
        }
    }

    /** Nothing is on its way. */
    public boolean quiet() {
        return outward.empty() && homeward.empty();
    }

    private long nanos(Octets octets) {
        return 1_000_000_000L * octets.size() * BITS / baud;
    }

    private synchronized void talk(Octets octets, Consumer<Octets> back) {
        long now = clock.getAsLong();
        backFree = Math.max(now, backFree) + nanos(octets);
        Octets heard = noisy() ? noise(octets.size()) : octets;
        homeward.add(() -> back.accept(heard));
        timer.schedule(homeward::next, backFree - now, TimeUnit.NANOSECONDS);
    }

    private boolean noisy() {
        return faults.contains(LineFault.NO_TERMINATOR)
                && baud > HIGH_RATE
                && random.nextInt(100) < NOISE_PERCENT;
    }

    private synchronized Octets noise(int size) {
        byte[] noise = new byte[size];
        random.nextBytes(noise);
        return Octets.of(noise);
    }

    private void arrived(Octets octets, Consumer<Octets> back) {
        if (kind == Kind.BUS) {
            stations.forEach(s -> hear(s, octets, back));
            return;
        }
        Octets passing = octets;
        Set<Station> reached = new HashSet<>();
        for (Station s : stations) {
            if (s.faults().contains(LineFault.BROKEN)
                    || s.faults().contains(LineFault.REVERSED)
                    || s.voice().get().isEmpty()) {
                break;
            }
            reached.add(s);
            passing = hear(s, passing, back);
        }
        up.ifPresent(
                before ->
                        reached.stream()
                                .filter(s -> !before.contains(s))
                                .forEach(s -> join(s, back)));
        up = Optional.of(reached);
        if (passing.size() > 0 && passing.at(0) == TO_ALL) {
            talk(passing, back);
        }
    }

    /** It came up since, or what is before it on the lead did. */
    private void join(Station s, Consumer<Octets> back) {
        Octets said = s.voice().get().map(SerialVoice::joins).orElse(Octets.of());
        if (said.size() > 0 && !s.faults().contains(LineFault.ONE_WAY)) {
            talk(s.baud().getAsInt() == baud ? said : noise(said.size()), back);
        }
    }

    /** What it hands on. */
    private Octets hear(Station s, Octets octets, Consumer<Octets> back) {
        if (s.faults().contains(LineFault.BROKEN)
                || s.faults().contains(LineFault.PAIR_SWAPPED)
                || octets.size() == 0) {
            return Octets.of();
        }
        boolean otherRate = s.baud().getAsInt() != baud;
        boolean damaged = otherRate || noisy() || s.faults().contains(LineFault.NOISY);
        Octets heard = damaged ? noise(octets.size()) : octets;
        boolean mute = s.faults().contains(LineFault.ONE_WAY);
        Optional<? extends SerialVoice> voice = s.voice().get();
        return voice.map(
                        v ->
                                v.hear(
                                        heard,
                                        said -> {
                                            if (!mute) {
                                                talk(damaged ? noise(said.size()) : said, back);
                                            }
                                        }))
                .orElse(Octets.of());
    }
}
