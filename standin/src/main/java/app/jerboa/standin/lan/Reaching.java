package app.jerboa.standin.lan;

import app.jerboa.core.value.DeviceId;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Pieces of network: who is joined to whom by links that carry, through what passes on. */
final class Reaching {
    private final Map<DeviceId, Set<DeviceId>> beside = new HashMap<>();
    private final Set<DeviceId> passing;

    /**
     * @param passing what hands on to others, and is up
     */
    Reaching(Set<DeviceId> passing) {
        this.passing = passing;
    }

    void join(DeviceId one, DeviceId other) {
        beside.computeIfAbsent(one, d -> new LinkedHashSet<>()).add(other);
        beside.computeIfAbsent(other, d -> new LinkedHashSet<>()).add(one);
    }

    /** All that one can reach, itself among them. */
    Set<DeviceId> from(DeviceId start) {
        return from(start, new LinkedHashSet<>());
    }

    /** All that is reached from one end of a link without going back over the other. */
    Set<DeviceId> behind(DeviceId start, DeviceId other) {
        Set<DeviceId> seen = from(start, new LinkedHashSet<>(Set.of(other)));
        seen.remove(other);
        return seen;
    }

    private Set<DeviceId> from(DeviceId start, Set<DeviceId> seen) {
        seen.add(start);
        Deque<DeviceId> next = new ArrayDeque<>();
        if (passing.contains(start) || seen.size() == 1) {
            next.add(start);
        }
        while (!next.isEmpty()) {
            DeviceId at = next.removeFirst();
            for (DeviceId other : beside.getOrDefault(at, Set.of())) {
                if (seen.add(other) && passing.contains(other)) {
                    next.addLast(other);
                }
            }
        }
        return seen;
    }

    /** The largest piece; of two alike the one of the first device. Empty where nothing passes. */
    Set<DeviceId> largest(List<DeviceId> inOrder) {
        Set<DeviceId> seen = new HashSet<>();
        return inOrder.stream()
                .filter(passing::contains)
                .filter(d -> !seen.contains(d))
                .map(
                        d -> {
                            Set<DeviceId> piece = from(d);
                            seen.addAll(piece);
                            return piece;
                        })
                .max(Comparator.comparingInt(Set::size))
                .orElse(Set.of());
    }
}
