package app.jerboa.server.jobfile;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/**
 * Numbers of items are a job's own and a file keeps them, but for those that no job would have
 * given: then all are counted anew from 1, and what points to them follows.
 */
final class Renumbering {
    /** Gaps are usual, as numbers are never given twice. */
    private static final long ROOM = 1_000_000;

    private static final Pattern NUMBERS = Pattern.compile("[0-9]+");
    private static final Pattern DEVICES_OF_KEY = Pattern.compile("\\[[^\\]]*]");

    private final Map<String, String> numbers = new HashMap<>();

    private Renumbering(List<Item> items) {
        long free = 1;
        for (Item item : items) {
            numbers.put(Long.toString(item.ref().id()), Long.toString(free++));
        }
    }

    static boolean isNeeded(List<Item> items) {
        return items.stream().anyMatch(i -> i.ref().id() > ROOM);
    }

    /**
     * @param log its lines' devices are counted anew in place; those that are not there go
     */
    static List<Item> of(List<Item> items, JsonNode log) {
        Renumbering anew = new Renumbering(items);
        for (JsonNode line : log) {
            anew.renumber((ArrayNode) line.get("devices"));
        }
        return items.stream().map(anew::renumbered).toList();
    }

    private void renumber(ArrayNode devices) {
        List<String> before = devices.valueStream().map(JsonNode::asString).toList();
        devices.removeAll();
        before.stream()
                .filter(numbers::containsKey)
                .forEach(n -> devices.add(Long.parseLong(numbers.get(n))));
    }

    private Item renumbered(Item item) {
        Item now = item.numbered(Long.parseLong(numbers.get(Long.toString(item.ref().id()))));
        for (Field field : item.ref().kind().fields()) {
            if (field.type().target().isPresent()) {
                now = now.with(field, numbers.getOrDefault(now.text(field), now.text(field)));
            }
        }
        return item.ref().kind() == ItemKind.WAIVER
                ? now.with(Field.WAIVED, key(now.text(Field.WAIVED)))
                : now;
    }

    /** The key of a finding names its devices between brackets. */
    private String key(String finding) {
        return DEVICES_OF_KEY
                .matcher(finding)
                .replaceFirst(
                        m ->
                                NUMBERS.matcher(m.group())
                                        .replaceAll(
                                                n -> numbers.getOrDefault(n.group(), n.group())));
    }
}
