package app.jerboa.server.change;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.SoftLimit;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.words.Words;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What a change set does, as the logbook says it. */
final class CommandWords {
    private static final int MOST_PARTS = 3;
    private static final Pattern PROFILE_NAME = Pattern.compile("\"name\":\"([^\"\\\\]{1,80})\"");

    private static final Set<Field> READ =
            EnumSet.of(
                    Field.KEPT_PAN,
                    Field.KEPT_TILT,
                    Field.KEPT_ZOOM,
                    Field.KEPT_KNOBS,
                    Field.KEPT_BY);

    private CommandWords() {}

    /**
     * @param job as it was before
     */
    static String label(Job job, ChangeSet changes) {
        Map<ItemRef, Item> added = new HashMap<>();
        changes.adds().forEach(i -> added.put(i.ref(), i));
        List<String> first = added(job, changes.adds());
        List<Edit> edits = told(changes.edits());
        int all = first.size() + edits.size() + changes.removes().size();
        // Only what is said is worded: a large change has thousands of parts.
        List<String> parts =
                Stream.of(
                                first.stream(),
                                edits.stream().map(e -> edited(job, added, e)),
                                changes.removes().stream().map(r -> said(job, "change.removed", r)))
                        .flatMap(part -> part)
                        .limit(MOST_PARTS)
                        .toList();
        if (all <= MOST_PARTS) {
            return String.join("; ", parts);
        }
        return Words.say(
                "change.and",
                Map.of(
                        "parts",
                        String.join("; ", parts.subList(0, MOST_PARTS - 1)),
                        "more",
                        parts.size() - MOST_PARTS + 1));
    }

    /** What was read of a view goes without saying: it was stored, or is to be stored again. */
    private static List<Edit> told(List<Edit> edits) {
        List<Edit> told =
                edits.stream()
                        .filter(e -> !READ.contains(e.field()))
                        .filter(e -> e.field() != Field.KEPT_AT || !e.after().isEmpty())
                        .toList();
        return told.isEmpty() ? edits : told;
    }

    /** Several devices as one part; a line that comes with its camera goes without saying. */
    private static List<String> added(Job job, List<Item> adds) {
        List<Item> devices = adds.stream().filter(a -> a.ref().kind() == ItemKind.DEVICE).toList();
        if (devices.size() < 2) {
            return adds.stream().map(a -> said(job, "change.added", a)).toList();
        }
        List<String> parts = new ArrayList<>();
        parts.add(
                Words.say(
                        "change.added.devices",
                        Map.of(
                                "first", name(devices.get(0)),
                                "last", name(devices.get(devices.size() - 1)),
                                "count", devices.size())));
        adds.stream()
                .filter(a -> a.ref().kind() != ItemKind.DEVICE && a.ref().kind() != ItemKind.LINE)
                .forEach(a -> parts.add(said(job, "change.added", a)));
        return parts;
    }

    /** Added or removed; some kinds have words of their own for it. */
    private static String said(Job job, String key, Item item) {
        Map<String, String> facts =
                Map.of(
                        "item", name(job, item),
                        "finding", item.ref().kind() == ItemKind.WAIVER ? waived(item) : "",
                        "reason",
                                item.ref().kind() == ItemKind.WAIVER
                                        ? item.text(Field.REASON)
                                        : "");
        return Words.find(key + "." + item.ref().kind().wire(), facts)
                .orElseGet(() -> Words.say(key, facts));
    }

    /** A finding's key starts with its code. */
    private static String waived(Item waiver) {
        return waiver.text(Field.WAIVED).replaceAll("\\[.*", "");
    }

    private static String edited(Job job, Map<ItemRef, Item> added, Edit edit) {
        String item = name(job, added, edit.item());
        if (edit.field() == Field.FACTS) {
            return Words.say("change.edited.facts", Map.of("item", item));
        }
        if (edit.field() == Field.KEPT_AT && !edit.after().isEmpty()) {
            return Words.say("change.edited.stored", Map.of("item", item));
        }
        if (edit.item().kind() == ItemKind.SECRET) {
            return Words.say("change.edited.secret", Map.of("item", item));
        }
        return Words.say(
                "change.edited",
                Map.of(
                        "item", item,
                        "field", FieldWords.of(edit.field()),
                        "before", shown(job, added, edit, edit.before()),
                        "after", shown(job, added, edit, edit.after())));
    }

    /** What a reference points to is said by its name. */
    private static String shown(Job job, Map<ItemRef, Item> added, Edit edit, String text) {
        if (SoftLimit.FIELDS.contains(edit.field()) && !text.isEmpty()) {
            return softLimit(edit.field(), text);
        }
        return edit.field()
                .type()
                .target()
                .filter(kind -> !text.isEmpty())
                .map(kind -> name(job, added, new ItemRef(kind, Long.parseLong(text))))
                .orElse(text.isEmpty() ? Words.say("change.none") : text);
    }

    /** Written in hundredths of a degree, or of a metre. */
    private static String softLimit(Field field, String hundredths) {
        String place =
                new BigDecimal(hundredths).movePointLeft(2).stripTrailingZeros().toPlainString();
        boolean ofRail = field == Field.SOFT_RAIL_FROM || field == Field.SOFT_RAIL_TO;
        return ofRail
                ? Words.say("change.metres", Map.of("metres", place))
                : Words.say("change.degrees", Map.of("degrees", place));
    }

    private static String name(Job job, Map<ItemRef, Item> added, ItemRef ref) {
        return job.item(ref)
                .map(JobItems::item)
                .or(() -> Optional.ofNullable(added.get(ref)))
                .map(i -> name(job, i))
                .orElse(Words.say("change.item"));
    }

    static String name(Job job, Item item) {
        if (item.ref().kind() != ItemKind.PRESET) {
            return name(item);
        }
        DeviceId camera = new DeviceId(Long.parseLong(item.text(Field.PRESET_CAMERA)));
        int number = Integer.parseInt(item.text(Field.PRESET_NUMBER));
        String called = PresetNumbering.of(job).called(camera, number);
        return Words.say(
                        "change.preset",
                        Map.of(
                                "camera",
                                job.device(camera).map(Device::name).orElse(""),
                                "number",
                                called.isEmpty() ? Integer.toString(number) : called,
                                "name",
                                item.text(Field.PRESET_NAME)))
                .strip();
    }

    private static String name(Item item) {
        String key = "change." + item.ref().kind().wire();
        if (item.ref().kind() == ItemKind.PROFILE) {
            Matcher name = PROFILE_NAME.matcher(item.text(Field.FACTS));
            return name.find()
                    ? Words.say(key, Map.of("name", name.group(1)))
                    : Words.say(key + ".unnamed");
        }
        Map<String, String> facts = new HashMap<>();
        item.values().forEach((f, text) -> facts.put(f.wire(), text));
        return Words.say(key, facts);
    }

    /** The devices that a change set concerns, each once, in order. */
    static List<Long> devices(ChangeSet changes) {
        Stream<ItemRef> items =
                Stream.concat(
                        Stream.concat(changes.adds().stream(), changes.removes().stream())
                                .map(Item::ref),
                        changes.edits().stream().map(Edit::item));
        Stream<Long> ofLines =
                Stream.concat(changes.adds().stream(), changes.removes().stream())
                        .filter(i -> i.ref().kind() == ItemKind.LINE)
                        .map(i -> new DeviceId(Long.parseLong(i.text(Field.CAMERA))).value());
        return Stream.concat(
                        items.filter(r -> r.kind() == ItemKind.DEVICE).map(ItemRef::id), ofLines)
                .distinct()
                .sorted()
                .toList();
    }
}
