package app.jerboa.server.jobfile;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.job.edit.ItemMissing;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.platform.Utf8;
import app.jerboa.server.words.Words;
import java.nio.charset.CharacterCodingException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads a job's file, trusting nothing: shape, types, numbers, names and what points to what are
 * checked before anything is stored, and a refusal names the place.
 */
final class JobFileReader {
    private static final JsonMapper JSON =
            JsonMapper.builder(
                            JsonFactory.builder()
                                    .streamReadConstraints(
                                            StreamReadConstraints.builder()
                                                    .maxNestingDepth(12)
                                                    .maxStringLength(JobFileFormat.LONGEST_SEALED)
                                                    .maxNumberLength(20)
                                                    .maxNameLength(100)
                                                    .build())
                                    .build())
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                    .build();

    /** Where a device was found: files of before told it with the plan. */
    private static final String FOUND = "found";

    private final ProfileShelf shelf;
    private final Map<Integer, Ipv4> found = new TreeMap<>();
    private final List<Item> items = new ArrayList<>();
    private final Map<ItemRef, String> places = new HashMap<>();
    private final Set<Long> ids = new HashSet<>();

    private JobFileReader(ProfileShelf shelf) {
        this.shelf = shelf;
    }

    /**
     * @throws FileRejected with the first place that cannot be taken
     */
    static JobFile read(byte[] file, ProfileShelf shelf) {
        return new JobFileReader(shelf).read(tree(file));
    }

    private static JsonNode tree(byte[] file) {
        try {
            return JSON.readTree(Utf8.text(file));
        } catch (CharacterCodingException e) {
            throw new FileRejected("", Words.say("file.utf8"));
        } catch (JacksonException e) {
            TokenStreamLocation at = e.getLocation();
            String place =
                    at == null ? "" : "line " + at.getLineNr() + ", column " + at.getColumnNr();
            throw new FileRejected(place, Words.say("file.json"));
        }
    }

    private JobFile read(JsonNode file) {
        insist(file.isObject(), "", Words.say("file.one-object"));
        FileShape.header(file);
        for (ItemKind kind : JobFileFormat.KINDS) {
            readKind(kind, file.get(JobFileFormat.key(kind)));
        }
        try {
            new JobEditor(shelf).read(items);
        } catch (ItemRejected e) {
            String reason =
                    Words.say(
                            "file.value",
                            Map.of(
                                    "text",
                                    shortened(e.text().input()),
                                    "why",
                                    Words.say(e.text().reason())));
            throw new FileRejected(places.get(e.item()) + "/" + e.field().wire(), reason);
        } catch (ItemMissing e) {
            throw new FileRejected(
                    "/" + JobFileFormat.key(e.item().kind()),
                    "it " + e.getMessage().substring(e.item().toString().length() + 1));
        }
        JsonNode sealed = file.path(JobFileFormat.SEALED);
        insist(
                sealed.isMissingNode() || sealed.isString(),
                "/" + JobFileFormat.SEALED,
                Words.say("file.text"));
        JsonNode log = file.get(JobFileFormat.LOG);
        String lines = LogLines.read(log, JSON);
        boolean anew = Renumbering.isNeeded(items);
        return new JobFile(
                anew ? Renumbering.of(items, log) : items,
                found,
                anew ? JSON.writeValueAsString(log) : lines,
                sealed.isString() ? Optional.of(sealed.asString()) : Optional.empty());
    }

    private void readKind(ItemKind kind, JsonNode node) {
        String place = "/" + JobFileFormat.key(kind);
        if (kind == ItemKind.SITE) {
            readItem(kind, node, place);
            return;
        }
        if (node == null) {
            return;
        }
        insist(node.isArray(), place, Words.say("file.list"));
        for (int i = 0; i < node.size(); i++) {
            readItem(kind, node.get(i), place + "/" + i);
        }
    }

    private void readItem(ItemKind kind, JsonNode node, String place) {
        insist(node != null && node.isObject(), place, Words.say("file.object"));
        insist(items.size() < JobFileFormat.MOST_ITEMS, place, Words.say("file.items"));
        JsonNode id = node.path("id");
        boolean number = id.isIntegralNumber() && id.canConvertToLong() && id.asLong() > 0;
        insist(number, place + "/id", Words.say("file.id"));
        insist(ids.add(id.asLong()), place + "/id", Words.say("file.id-twice"));
        Map<Field, String> values = new EnumMap<>(Field.class);
        for (Map.Entry<String, JsonNode> e : node.properties()) {
            if (kind == ItemKind.DEVICE && e.getKey().equals(FOUND)) {
                found(e.getValue(), place + "/" + FOUND);
            } else if (!e.getKey().equals("id")) {
                String at = place + "/" + e.getKey();
                Field field =
                        Field.fromWire(kind, e.getKey())
                                .orElseThrow(() -> new FileRejected(at, Words.say("file.key")));
                values.put(field, FileShape.text(field, e.getValue(), at));
            }
        }
        ItemRef ref = new ItemRef(kind, id.asLong());
        places.put(ref, place);
        items.add(new Item(ref, values));
    }

    /** Of a device that is about to be added. */
    private void found(JsonNode node, String place) {
        insist(node.isString(), place, Words.say("file.text"));
        if (!node.asString().isEmpty()) {
            try {
                found.put(items.size(), Ipv4.parse(node.asString()));
            } catch (TextRejected e) {
                throw new FileRejected(
                        place, Words.say("file.address", Map.of("why", Words.say(e.reason()))));
            }
        }
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }

    private static void insist(boolean right, String place, String reason) {
        FileShape.insist(right, place, reason);
    }
}
