package app.jerboa.server.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.server.job.Rows.ItemRow;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Items between the core and the rows of the table {@code item}. */
@Component
public class ItemTexts {
    private static final TypeReference<Map<String, String>> TEXTS = new TypeReference<>() {};

    private final JsonMapper json;

    ItemTexts(JsonMapper json) {
        this.json = json;
    }

    /** A field that a later version stored and this one does not know is passed over. */
    Item read(ItemRow row) {
        ItemKind kind = ItemKind.fromWire(row.kind()).orElseThrow();
        Map<Field, String> texts = new EnumMap<>(Field.class);
        json.readValue(row.texts(), TEXTS)
                .forEach(
                        (name, text) ->
                                Field.fromWire(kind, name).ifPresent(f -> texts.put(f, text)));
        return new Item(new ItemRef(kind, row.id()), texts);
    }

    /**
     * A JSON array as {@link JobMapper#store} takes it. What a field starts with is not stored, so
     * that a large job stays small; {@link Field#initial} must therefore never change.
     */
    String write(Collection<Item> items) {
        List<Map<String, Object>> rows = items.stream().map(ItemTexts::row).toList();
        return json.writeValueAsString(rows);
    }

    private static Map<String, Object> row(Item item) {
        Map<String, String> texts = new LinkedHashMap<>();
        item.values()
                .forEach(
                        (field, text) -> {
                            if (!text.equals(field.initial())) {
                                texts.put(field.wire(), text);
                            }
                        });
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("id", item.ref().id());
        row.put("kind", item.ref().kind().wire());
        row.put("texts", texts);
        return row;
    }
}
