package app.jerboa.core.net;

import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Which of many ranges covers an address, in O(log n). Where ranges overlap, the one put in first
 * keeps the ground.
 */
final class RangeIndex<T> {
    private record Span<T>(long last, T owner) {}

    private final NavigableMap<Long, Span<T>> spans = new TreeMap<>();

    void put(Ipv4Range range, T owner) {
        long from = range.first().bits();
        long to = range.last().bits();
        while (from <= to) {
            Map.Entry<Long, Span<T>> covering = covering(from, from);
            if (covering != null) {
                from = covering.getValue().last() + 1;
                continue;
            }
            Long next = spans.ceilingKey(from);
            long end = next == null ? to : Math.min(to, next - 1);
            spans.put(from, new Span<>(end, owner));
            from = end + 1;
        }
    }

    Optional<T> at(Ipv4 address) {
        return Optional.ofNullable(covering(address.bits(), address.bits()))
                .map(e -> e.getValue().owner());
    }

    /**
     * The last address of the first span that touches first..last, or -1 when all of it is free.
     */
    long endOfFirstOverlap(long first, long last) {
        Map.Entry<Long, Span<T>> hit = covering(first, last);
        return hit == null ? -1 : hit.getValue().last();
    }

    private Map.Entry<Long, Span<T>> covering(long first, long last) {
        Map.Entry<Long, Span<T>> below = spans.floorEntry(first);
        if (below != null && below.getValue().last() >= first) {
            return below;
        }
        Map.Entry<Long, Span<T>> inside = spans.ceilingEntry(first);
        return inside != null && inside.getKey() <= last ? inside : null;
    }
}
