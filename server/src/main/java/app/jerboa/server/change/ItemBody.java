package app.jerboa.server.change;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.FieldType;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;

/**
 * One item with its fields as texts, as JSON.
 *
 * @param item its kind
 * @param id below 0 stands for the number it will get
 * @param values by field name; what is left out takes its default
 */
public record ItemBody(String item, long id, Map<String, String> values) {
    private static final int LONGEST = 500;
    private static final int LONGEST_FACTS = 60_000;

    public static ItemBody of(Item item) {
        Map<String, String> values = new LinkedHashMap<>();
        item.values().forEach((field, text) -> values.put(field.wire(), text));
        return new ItemBody(item.ref().kind().wire(), item.ref().id(), values);
    }

    public Item toItem() {
        ItemRef ref = ref(item, id);
        Map<Field, String> texts = new EnumMap<>(Field.class);
        values.forEach(
                (name, text) -> {
                    Field field =
                            Field.fromWire(ref.kind(), name)
                                    .orElseThrow(() -> bad(name, unknownField(name)));
                    texts.put(field, bounded(field, text == null ? "" : text));
                });
        return new Item(ref, texts);
    }

    private static String unknownField(String name) {
        return Words.say("refused.no-field", Map.of("field", name));
    }

    static ItemRef ref(String item, long id) {
        ItemKind kind =
                ItemKind.fromWire(item)
                        .orElseThrow(() -> bad("item", Words.say("refused.item-kind")));
        return new ItemRef(kind, id);
    }

    static String bounded(Field field, String text) {
        int longest = field.type().shape() == FieldType.Shape.FACTS ? LONGEST_FACTS : LONGEST;
        if (text.length() > longest) {
            throw bad(field.wire(), Words.say("refused.text-long", Map.of("most", longest)));
        }
        return text;
    }

    static Problem bad(String field, String sentence) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", sentence, Map.of("field", field));
    }
}
