package app.jerboa.server.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * How a list of rows became another: first those of {@code gone} and of {@code put} are taken out
 * by their keys, then each of {@code put} is set in at its place. What stays keeps its order.
 *
 * @param gone keys of rows that are no more
 * @param put rows that came, changed or moved, by ascending place
 */
public record ListPatch<T>(List<String> gone, List<Placed<T>> put) {
    /**
     * One row of the new list.
     *
     * @param at its place there, from 0
     */
    public record Placed<T>(int at, T row) {}

    /** Most rows are the very same objects: these need not even be looked into. */
    @SuppressWarnings("ReferenceEquality")
    private static <T> boolean same(T a, T b) {
        return a == b || a.equals(b);
    }

    /** Empty when nothing is different. O(n); what both ends share is only compared. */
    @SuppressWarnings("ReferenceEquality") // A list that nothing touched is the same object.
    static <T> Optional<ListPatch<T>> between(
            List<T> before, List<T> after, Function<T, String> key) {
        if (before == after) {
            return Optional.empty();
        }
        int shorter = Math.min(before.size(), after.size());
        int head = 0;
        while (head < shorter && same(before.get(head), after.get(head))) {
            head++;
        }
        if (head == before.size() && head == after.size()) {
            return Optional.empty();
        }
        int tail = 0;
        while (tail < shorter - head
                && same(before.get(before.size() - 1 - tail), after.get(after.size() - 1 - tail))) {
            tail++;
        }
        return Optional.of(
                middle(
                        before.subList(head, before.size() - tail),
                        after.subList(head, after.size() - tail),
                        head,
                        key));
    }

    /**
     * @param from place of the first of both in their lists
     */
    private static <T> ListPatch<T> middle(
            List<T> before, List<T> after, int from, Function<T, String> key) {
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < before.size(); i++) {
            places.put(key.apply(before.get(i)), i);
        }
        List<Placed<T>> put = new ArrayList<>();
        Set<String> there = new HashSet<>();
        int last = -1;
        for (int i = 0; i < after.size(); i++) {
            T row = after.get(i);
            there.add(key.apply(row));
            int place = places.getOrDefault(key.apply(row), -1);
            if (place > last && before.get(place).equals(row)) {
                last = place;
            } else {
                put.add(new Placed<>(from + i, row));
            }
        }
        List<String> gone =
                before.stream().map(key).filter(k -> !there.contains(k)).distinct().toList();
        return new ListPatch<>(gone, put);
    }
}
