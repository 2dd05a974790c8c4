package app.jerboa.core.value;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;

/**
 * A list made item by item from another. Most items of a job outlive a change as the very same
 * objects, mostly in the same order: what was made of them is found by walking along both lists.
 *
 * @param from the items
 * @param to what was made of each, in the same order
 */
public record Made<I, O>(List<I> from, List<O> to) {
    /** Makes one. */
    public interface Making<I, O> {
        /**
         * @param before what was made of the same item for the version before; null for none
         */
        O of(I item, O before);
    }

    public static <I, O> Made<I, O> of(
            List<I> items, Optional<Made<I, O>> before, Making<I, O> making) {
        Walk<I, O> walk =
                new Walk<>(items, before.orElseGet(() -> new Made<>(List.of(), List.of())));
        List<O> made = new ArrayList<>(items.size());
        for (int i = 0; i < items.size(); i++) {
            made.add(making.of(items.get(i), walk.madeOf(i)));
        }
        return new Made<>(items, made);
    }

    /** So many items are looked up one by one where more would be gone through anew. */
    private static final int FEW = 8;

    /**
     * As {@link #of}, where what was made of the same item is as good as new: an edit of a few
     * items costs little more than comparing the lists. The very same list where it is no other.
     *
     * @param making of items that are others only; gets what was made of the item that stood at its
     *     place before, which it may take over where it says the same
     */
    public static <I, O> Made<I, O> kept(
            List<I> items, Optional<Made<I, O>> before, Making<I, O> making) {
        return before.flatMap(b -> b.edited(items, making))
                .orElseGet(
                        () ->
                                of(
                                        items,
                                        before,
                                        (i, was) -> was == null ? making.of(i, null) : was));
    }

    /** Empty where more than a few stand at other places than before. */
    private Optional<Made<I, O>> edited(List<I> items, Making<I, O> making) {
        if (items.size() != from.size()) {
            return Optional.empty();
        }
        List<O> made = to;
        int others = 0;
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) != from.get(i)) {
                others++;
                if (others > FEW) {
                    return Optional.empty();
                }
                made = with(made, i, making.of(items.get(i), to.get(i)));
            }
        }
        return Optional.of(new Made<>(items, made));
    }

    private List<O> with(List<O> made, int at, O other) {
        if (other == made.get(at)) {
            return made;
        }
        List<O> own = made == to ? new ArrayList<>(to) : made;
        own.set(at, other);
        return own;
    }

    /** Along the list before; what is not next there is looked up. */
    private static final class Walk<I, O> {
        private final List<I> items;
        private final Made<I, O> before;
        private int next;
        private IdentityHashMap<I, Integer> places;

        Walk(List<I> items, Made<I, O> before) {
            this.items = items;
            this.before = before;
        }

        O madeOf(int at) {
            if (meets(at, next)) {
                return before.to.get(next++);
            }
            if (putInstead(at)) {
                next++;
                return null;
            }
            int place = place(items.get(at));
            if (place < 0) {
                return null;
            }
            next = place + 1;
            return before.to.get(place);
        }

        private boolean meets(int at, int place) {
            return at < items.size()
                    && place < before.from.size()
                    && before.from.get(place) == items.get(at);
        }

        /** An edit puts one item in the stead of another: behind it both lists go on alike. */
        private boolean putInstead(int at) {
            boolean last = at + 1 == items.size() && next + 1 == before.from.size();
            return last || meets(at + 1, next + 1);
        }

        private int place(I item) {
            if (before.from.isEmpty()) {
                return -1;
            }
            if (places == null) {
                places = new IdentityHashMap<>();
                for (int i = 0; i < before.from.size(); i++) {
                    places.put(before.from.get(i), i);
                }
            }
            return places.getOrDefault(item, -1);
        }
    }
}
