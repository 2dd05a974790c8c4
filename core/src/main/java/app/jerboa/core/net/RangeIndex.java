package app.jerboa.core.net;

import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Which of many ranges covers an address, in O(log n). Where ranges overlap, the one put in first
 * keeps the ground.
 */
final class RangeIndex<T> implements Obstacles {
    private record Span<T>(long last, T owner) {}

    private final NavigableMap<Long, Span<T>> spans = new TreeMap<>();

    void put(Ipv4Range range, T owner) {
        long from = range.first().bits();
        long to = range.last().bits();
        while (from <= to) {
            Map.Entry<Long, Span<T>> covering = covering(from);
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
        return Optional.ofNullable(covering(address.bits())).map(e -> e.getValue().owner());
    }

    @Override
    public long endOfLastOverlap(long first, long last) {
        Map.Entry<Long, Span<T>> nearest = spans.floorEntry(last);
        return nearest != null && nearest.getValue().last() >= first
                ? nearest.getValue().last()
                : -1;
    }

    private Map.Entry<Long, Span<T>> covering(long address) {
        Map.Entry<Long, Span<T>> below = spans.floorEntry(address);
        return below != null && below.getValue().last() >= address ? below : null;
    }
}
