package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.ProfileShelf;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToIntFunction;

/**
 * How one kind of item is read from its texts and what each of its fields says. Immutable once it
 * is registered in {@link JobItems}.
 */
final class ItemForm<T extends JobItem> {
    private final ItemKind kind;
    private final Class<T> type;
    private final BiFunction<Texts, ProfileShelf, T> read;
    private final Map<Field, Function<T, String>> says = new EnumMap<>(Field.class);

    private ItemForm(ItemKind kind, Class<T> type, BiFunction<Texts, ProfileShelf, T> read) {
        this.kind = kind;
        this.type = type;
        this.read = read;
    }

    static <T extends JobItem> ItemForm<T> of(
            ItemKind kind, Class<T> type, Function<Texts, T> read) {
        return new ItemForm<>(kind, type, (texts, shelf) -> read.apply(texts));
    }

    /** Of a kind that names profiles. */
    static <T extends JobItem> ItemForm<T> withShelf(
            ItemKind kind, Class<T> type, BiFunction<Texts, ProfileShelf, T> read) {
        return new ItemForm<>(kind, type, read);
    }

    ItemForm<T> text(Field field, Function<T, String> value) {
        if (field.kind() != kind || says.put(field, value) != null) {
            throw new IllegalArgumentException(kind + " cannot say " + field + " (again)");
        }
        return this;
    }

    /** A value as it prints itself. */
    ItemForm<T> value(Field field, Function<T, ?> value) {
        return text(field, item -> value.apply(item).toString());
    }

    ItemForm<T> whole(Field field, ToIntFunction<T> value) {
        return text(field, item -> Integer.toString(value.applyAsInt(item)));
    }

    ItemForm<T> wholeOrNone(Field field, Function<T, OptionalInt> value) {
        return text(
                field,
                item -> {
                    OptionalInt number = value.apply(item);
                    return number.isPresent() ? Integer.toString(number.getAsInt()) : "";
                });
    }

    ItemForm<T> orNone(Field field, Function<T, Optional<?>> value) {
        return text(field, item -> value.apply(item).map(Object::toString).orElse(""));
    }

    ItemKind kind() {
        return kind;
    }

    /** Fields of the kind that this form does not say; none in a whole form. */
    List<Field> missing() {
        return kind.fields().stream().filter(f -> !says.containsKey(f)).toList();
    }

    T read(Item item, ProfileShelf shelf) {
        return read.apply(new Texts(item), shelf);
    }

    /**
     * @throws IllegalArgumentException for a field of another kind
     */
    String text(JobItem item, Field field) {
        Function<T, String> value = says.get(field);
        if (value == null) {
            ItemRef ref = item.ref();
            throw new IllegalArgumentException(ref + " has no field " + field);
        }
        return value.apply(type.cast(item));
    }
}
