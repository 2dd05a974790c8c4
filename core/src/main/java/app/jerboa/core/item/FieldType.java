package app.jerboa.core.item;

import java.util.List;
import java.util.Optional;

/**
 * What a field's text must say.
 *
 * @param least of a number its least value, of a text its shortest length in characters
 * @param most of a number its greatest value, of a text its longest length; both inclusive
 * @param choices the words of a choice or list, else empty
 * @param target the kind a reference points to
 * @param optional an empty text means "none"
 */
public record FieldType(
        Shape shape,
        long least,
        long most,
        List<String> choices,
        Optional<ItemKind> target,
        boolean optional) {
    public FieldType {
        choices = List.copyOf(choices);
    }

    /** How the text is read. */
    public enum Shape {
        /** A name that ends up on labels and in files: no mark-up, no control characters. */
        NAME,
        TEXT,
        NUMBER,
        /** {@code true} or {@code false}. */
        FLAG,
        CHOICE,
        /** Some of the choices in their order, with single spaces between. */
        LIST,
        /** IPv4, dotted. */
        ADDRESS,
        /** IPv4 network with its prefix, for example {@code 10.44.8.0/24}. */
        SUBNET,
        /** Six octets in lower-case hex with colons. */
        MAC,
        /** The id of a profile that this installation knows. */
        PROFILE,
        /** Metres, up to three decimals; people may type other units. */
        LENGTH,
        /** A profile as its JSON, written the one way. */
        FACTS,
        /** The id of another item of the job. */
        REFERENCE
    }

    static FieldType name(int longest) {
        return of(Shape.NAME, 1, longest);
    }

    static FieldType text(int shortest, int longest) {
        return of(Shape.TEXT, shortest, longest);
    }

    static FieldType number(int least, int most) {
        return of(Shape.NUMBER, least, most);
    }

    /** Metres, both inclusive. */
    static FieldType length(int least, int most) {
        return of(Shape.LENGTH, least, most);
    }

    static FieldType of(Shape shape) {
        return of(shape, 0, 0);
    }

    static FieldType choice(String... words) {
        return choice(List.of(words));
    }

    static FieldType choice(List<String> words) {
        return new FieldType(Shape.CHOICE, 0, 0, words, Optional.empty(), false);
    }

    static FieldType list(List<String> words) {
        return new FieldType(Shape.LIST, 0, 0, words, Optional.empty(), false);
    }

    static FieldType to(ItemKind target) {
        return new FieldType(Shape.REFERENCE, 0, 0, List.of(), Optional.of(target), false);
    }

    FieldType orNone() {
        return new FieldType(shape, least, most, choices, target, true);
    }

    private static FieldType of(Shape shape, long least, long most) {
        return new FieldType(shape, least, most, List.of(), Optional.empty(), false);
    }
}
