package app.jerboa.standin.lan;

import app.jerboa.core.net.Ipv4;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Whom a laptop takes an address to be: the one it heard of last. A device announces itself when it
 * has started, and then every few seconds; of two that hold one address each takes the entry from
 * the other. What has gone stays in the table for a while.
 */
final class Announcements {
    /** How long an entry lasts that nobody renews. */
    static final Duration KEPT = Duration.ofSeconds(60);

    private record Entry(String device, Instant heard) {}

    private final Map<Ipv4, Entry> table = new HashMap<>();

    /**
     * The one that would hear what is sent there now; empty while an entry points to one that has
     * gone.
     *
     * @param holding who answers to the address, each with the time it started
     * @param every how often each announces itself; zero for at its start only
     * @param listening since then the laptop hears what is announced
     */
    Optional<RigDevice> holder(
            Ipv4 address, List<RigDevice> holding, Instant now, Duration every, Instant listening) {
        Optional<RigDevice> last =
                holding.stream()
                        .max(
                                Comparator.comparing((RigDevice d) -> announced(d, now, every))
                                        .thenComparing(RigDevice::id));
        Entry entry = table.get(address);
        if (last.isEmpty()) {
            return last;
        }
        Instant at = announced(last.get(), now, every);
        boolean gone =
                entry != null
                        && holding.stream().noneMatch(d -> d.id().equals(entry.device()))
                        && now.isBefore(entry.heard().plus(KEPT));
        boolean heard = entry != null && at.isAfter(entry.heard()) && !at.isBefore(listening);
        if (gone && !heard) {
            return Optional.empty();
        }
        table.put(address, new Entry(last.get().id(), now));
        return last;
    }

    private static Instant announced(RigDevice d, Instant now, Duration every) {
        Instant up = d.upAt().orElse(Instant.EPOCH);
        if (every.isZero() || now.isBefore(up)) {
            return up;
        }
        long times = Duration.between(up, now).toMillis() / every.toMillis();
        return up.plus(every.multipliedBy(times));
    }

    void forget() {
        table.clear();
    }
}
