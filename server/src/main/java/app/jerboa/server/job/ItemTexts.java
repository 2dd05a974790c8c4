package app.jerboa.server.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.json.JsonMapper;

/** Items between the core and the rows of the table {@code item}. */
@Component
public class ItemTexts {
    private final JsonMapper json;

    ItemTexts(JsonMapper json) {
        this.json = json;
    }

    /**
     * Token by token: a job of thousands of items is waited for while it is read.
     *
     * @param array of an array for each item: its number, its kind and an object of its texts
     */
    List<Item> read(String array) {
        List<Item> items = new ArrayList<>();
        try (JsonParser parser = json.createParser(array)) {
            parser.nextToken();
            while (parser.nextToken() == JsonToken.START_ARRAY) {
                items.add(item(parser));
                parser.nextToken();
            }
        }
        return items;
    }

    /** A field that a later version stored and this one does not know is passed over. */
    private static Item item(JsonParser parser) {
        parser.nextToken();
        long id = parser.getLongValue();
        parser.nextToken();
        ItemKind kind = ItemKind.fromWire(parser.getString()).orElseThrow();
        Map<Field, String> texts = new EnumMap<>(Field.class);
        parser.nextToken();
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            Optional<Field> field = Field.fromWire(kind, parser.currentName());
            parser.nextToken();
            if (field.isPresent()) {
                texts.put(field.get(), parser.getString());
            } else {
                parser.skipChildren();
            }
        }
        return new Item(new ItemRef(kind, id), texts);
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
