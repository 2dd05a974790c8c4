package app.jerboa.core.item;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * An item as texts: how it is stored, exported and changed.
 *
 * @param values a text for every field of its kind; fields that were left out take their default
 */
public record Item(ItemRef ref, Map<Field, String> values) {
    public Item {
        EnumMap<Field, String> full = new EnumMap<>(Field.class);
        ref.kind().fields().forEach(f -> full.put(f, f.initial()));
        for (Map.Entry<Field, String> e : values.entrySet()) {
            if (e.getKey().kind() != ref.kind()) {
                throw new IllegalArgumentException(ref + " has no field " + e.getKey());
            }
            full.put(e.getKey(), e.getValue());
        }
        values = Collections.unmodifiableMap(full);
    }

    public String text(Field field) {
        return values.get(field);
    }

    public Item with(Field field, String text) {
        EnumMap<Field, String> changed = new EnumMap<>(values);
        changed.put(field, text);
        return new Item(ref, changed);
    }

    /** The same values under another number. */
    public Item numbered(long id) {
        return new Item(new ItemRef(ref.kind(), id), values);
    }
}
