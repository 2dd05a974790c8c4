package app.jerboa.wire.link;

import app.jerboa.wire.octets.Octets;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The last frames of one link with time, direction and meaning. Safe to use from several threads.
 */
public final class WireLog {
    /** Which way a frame went. */
    public enum Direction {
        SENT,
        RECEIVED
    }

    /**
     * One frame. Most are looked at by nobody: the words are made for whoever does.
     *
     * @param nanos of {@link System#nanoTime()}, which no clock that is set moves
     * @param words says in words what it means; asked on any thread, any number of times
     * @param path it went; empty for a serial port
     * @param polling it was sent, or answers what was sent, by the position read-back and not by a
     *     person
     */
    public record Entry(
            Instant at,
            long nanos,
            Direction direction,
            Octets octets,
            Supplier<String> words,
            Optional<WirePath> path,
            boolean polling) {
        public String meaning() {
            return words.get();
        }

        @Override
        public String toString() {
            return at + " " + direction + " " + octets + " " + meaning();
        }
    }

    private static final Logger LOG = LoggerFactory.getLogger(WireLog.class);

    private final int capacity;
    private final Deque<Entry> ring = new ArrayDeque<>();
    private final List<Consumer<Entry>> listeners = new CopyOnWriteArrayList<>();

    public WireLog(int capacity) {
        this.capacity = capacity;
    }

    public void add(Entry entry) {
        synchronized (ring) {
            if (ring.size() == capacity) {
                ring.removeFirst();
            }
            ring.addLast(entry);
        }
        for (Consumer<Entry> listener : listeners) {
            try {
                listener.accept(entry);
            } catch (RuntimeException e) {
                // Who looks on must not harm the link that is looked at.
                LOG.warn("somebody who follows a wire log failed", e);
            }
        }
    }

    /** Oldest first. */
    public List<Entry> entries() {
        synchronized (ring) {
            return List.copyOf(ring);
        }
    }

    /**
     * @param onEntry called on the link's own threads: it must return at once
     */
    public Subscription listen(Consumer<Entry> onEntry) {
        listeners.add(onEntry);
        return () -> listeners.remove(onEntry);
    }
}
