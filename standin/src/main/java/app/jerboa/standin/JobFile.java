package app.jerboa.standin;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.job.edit.ItemMissing;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Lengths;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** A job as its file says it, read as far as a hall needs it. */
public final class JobFile {
    private static final String FORMAT = "jerboa-job";

    private JobFile() {}

    /**
     * @throws IllegalArgumentException for what is no job file
     */
    public static Job read(JsonNode file) {
        if (!file.path("format").asString("").equals(FORMAT)) {
            throw new IllegalArgumentException("this is no Jerboa job file");
        }
        List<Item> items = new ArrayList<>();
        for (ItemKind kind : ItemKind.values()) {
            JsonNode of = file.path(kind == ItemKind.SITE ? kind.wire() : kind.wire() + "s");
            if (kind == ItemKind.SITE) {
                items.add(item(kind, of));
            } else {
                of.forEach(node -> items.add(item(kind, node)));
            }
        }
        try {
            return new JobEditor(new Shelf()).read(items);
        } catch (ItemRejected | ItemMissing e) {
            throw new IllegalArgumentException("the job file does not hold: " + e.getMessage(), e);
        }
    }

    private static Item item(ItemKind kind, JsonNode node) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        node.properties()
                .forEach(
                        e ->
                                Field.fromWire(kind, e.getKey())
                                        .ifPresent(f -> values.put(f, text(f, e.getValue()))));
        return new Item(new ItemRef(kind, node.path("id").asLong(0)), values);
    }

    private static String text(Field field, JsonNode value) {
        if (value.isNull()) {
            return "";
        }
        return switch (field.type().shape()) {
            case LENGTH -> Lengths.text(value.asDouble());
            case FACTS -> value.toString();
            default -> value.asString();
        };
    }

    /** What ships, and what the job brings along. */
    private static final class Shelf implements ProfileShelf {
        @Override
        public Optional<Profile> find(String id) {
            return ShippedProfiles.read(id);
        }

        @Override
        public boolean shipped(String id) {
            return find(id).isPresent();
        }

        @Override
        public Profile read(String facts) {
            try {
                return Json.MAPPER.readValue(facts, Profile.class);
            } catch (JacksonException e) {
                throw new TextRejected(facts, 0, Reason.of("text.profile"));
            }
        }
    }
}
