package app.jerboa.core.item;

import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;

/**
 * Parts of a job: kinds of items, each with those of its fields that are meant. What some work
 * looks at, and what a change touches: where the two do not meet, the work need not be done again.
 */
public final class Parts {
    /** Also said of a kind whose items come or go. */
    private static final Set<Field> WHOLE = Collections.unmodifiableSet(EnumSet.allOf(Field.class));

    private static final Parts ALL = of(EnumSet.allOf(ItemKind.class));

    private final Map<ItemKind, Set<Field>> fields;

    private Parts(Map<ItemKind, Set<Field>> fields) {
        this.fields = fields;
    }

    public static Parts of(ItemKind first, ItemKind... others) {
        return of(EnumSet.of(first, others));
    }

    /** Whole kinds. */
    public static Parts of(Set<ItemKind> kinds) {
        Map<ItemKind, Set<Field>> fields = new EnumMap<>(ItemKind.class);
        kinds.forEach(k -> fields.put(k, WHOLE));
        return new Parts(fields);
    }

    public static Parts all() {
        return ALL;
    }

    /** Of whole kinds where items come or go, else of the fields that are edited. */
    public static Parts touchedBy(ChangeSet changes) {
        Map<ItemKind, Set<Field>> fields = new EnumMap<>(ItemKind.class);
        changes.edits()
                .forEach(
                        e ->
                                fields.computeIfAbsent(
                                                e.item().kind(), k -> EnumSet.noneOf(Field.class))
                                        .add(e.field()));
        changes.adds().forEach(i -> fields.put(i.ref().kind(), WHOLE));
        changes.removes().forEach(i -> fields.put(i.ref().kind(), WHOLE));
        return new Parts(fields);
    }

    /** The same, with these kinds whole. */
    public Parts with(ItemKind first, ItemKind... others) {
        Map<ItemKind, Set<Field>> more = new EnumMap<>(fields);
        EnumSet.of(first, others).forEach(k -> more.put(k, WHOLE));
        return new Parts(more);
    }

    /** The same, less one field of a kind. */
    public Parts without(ItemKind kind, Field field) {
        Map<ItemKind, Set<Field>> less = new EnumMap<>(fields);
        Set<Field> left = EnumSet.copyOf(fields.get(kind));
        left.remove(field);
        less.put(kind, left);
        return new Parts(less);
    }

    public boolean meets(Parts other) {
        return fields.entrySet().stream()
                .anyMatch(e -> !Collections.disjoint(e.getValue(), other.fields(e.getKey())));
    }

    /** The fields of a kind; empty when the kind is not there. */
    public Set<Field> fields(ItemKind kind) {
        return fields.getOrDefault(kind, Set.of());
    }

    public Set<ItemKind> kinds() {
        return Collections.unmodifiableSet(fields.keySet());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Parts p && p.fields.equals(fields);
    }

    @Override
    public int hashCode() {
        return fields.hashCode();
    }

    /** For tests: kinds, those that are not whole with their fields. */
    @Override
    public String toString() {
        StringBuilder text = new StringBuilder();
        fields.forEach(
                (kind, of) ->
                        text.append(text.isEmpty() ? "" : ", ")
                                .append(kind.wire())
                                .append(of.equals(WHOLE) ? "" : " " + of));
        return text.toString();
    }
}
