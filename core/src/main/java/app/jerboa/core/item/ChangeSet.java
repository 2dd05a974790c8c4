package app.jerboa.core.item;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What one command does to a job, all or nothing: first adds, then edits in their order, then
 * removes. Carries all that its inverse needs.
 */
public record ChangeSet(List<Item> adds, List<Edit> edits, List<Item> removes) {
    public static final ChangeSet NONE = new ChangeSet(List.of(), List.of(), List.of());

    public ChangeSet {
        adds = List.copyOf(adds);
        edits = List.copyOf(edits);
        removes = List.copyOf(removes);
    }

    public static ChangeSet edits(List<Edit> edits) {
        return new ChangeSet(List.of(), edits, List.of());
    }

    public static ChangeSet adding(Item... items) {
        return new ChangeSet(List.of(items), List.of(), List.of());
    }

    public static ChangeSet removing(Item... items) {
        return new ChangeSet(List.of(), List.of(), List.of(items));
    }

    /** All of them as one, in their order. O(n). */
    public static ChangeSet all(List<ChangeSet> parts) {
        return new ChangeSet(
                parts.stream().flatMap(c -> c.adds.stream()).toList(),
                parts.stream().flatMap(c -> c.edits.stream()).toList(),
                parts.stream().flatMap(c -> c.removes.stream()).toList());
    }

    public boolean isEmpty() {
        return adds.isEmpty() && edits.isEmpty() && removes.isEmpty();
    }

    /** The change set that takes this one back. */
    public ChangeSet inverse() {
        List<Edit> back = new ArrayList<>();
        edits.forEach(e -> back.add(e.inverse()));
        Collections.reverse(back);
        return new ChangeSet(removes, back, adds.stream().map(this::afterEdits).toList());
    }

    /** An added item as it stands once the edits are done: that is what the inverse removes. */
    private Item afterEdits(Item added) {
        Item now = added;
        for (Edit e : edits) {
            now = e.item().equals(added.ref()) ? now.with(e.field(), e.after()) : now;
        }
        return now;
    }

    /**
     * Gives every added item with a stand-in id (below 0) a number from {@code next} upwards, in
     * their order, also where others refer to it.
     */
    public ChangeSet numbered(long next) {
        Map<String, String> numbers = new HashMap<>();
        long free = next;
        for (Item add : adds) {
            if (add.ref().id() < 0) {
                numbers.put(Long.toString(add.ref().id()), Long.toString(free++));
            }
        }
        return numbers.isEmpty()
                ? this
                : new ChangeSet(
                        adds.stream().map(a -> numbered(a, numbers)).toList(),
                        edits.stream().map(e -> numbered(e, numbers)).toList(),
                        removes);
    }

    /** The greatest id among the added items; 0 when nothing is added. */
    public long highestAdded() {
        return adds.stream().mapToLong(a -> a.ref().id()).max().orElse(0);
    }

    private static Item numbered(Item item, Map<String, String> numbers) {
        Item now = item.numbered(number(item.ref().id(), numbers));
        for (Field f : item.ref().kind().fields()) {
            if (f.type().target().isPresent()) {
                now = now.with(f, numbers.getOrDefault(now.text(f), now.text(f)));
            }
        }
        return now;
    }

    private static Edit numbered(Edit e, Map<String, String> numbers) {
        ItemRef item = new ItemRef(e.item().kind(), number(e.item().id(), numbers));
        boolean refers = e.field().type().target().isPresent();
        String after = refers ? numbers.getOrDefault(e.after(), e.after()) : e.after();
        return new Edit(item, e.field(), e.before(), after);
    }

    private static long number(long id, Map<String, String> numbers) {
        String text = Long.toString(id);
        return Long.parseLong(numbers.getOrDefault(text, text));
    }
}
