package app.jerboa.server.change;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What a change set does, as the logbook says it. */
final class CommandWords {
    private static final int MOST_PARTS = 3;
    private static final Pattern PROFILE_NAME = Pattern.compile("\"name\":\"([^\"\\\\]{1,80})\"");

    private CommandWords() {}

    /**
     * @param job as it was before
     */
    static String label(Job job, ChangeSet changes) {
        List<String> parts = new ArrayList<>();
        parts.addAll(added(changes.adds()));
        changes.edits().forEach(e -> parts.add(edited(job, changes, e)));
        changes.removes().forEach(r -> parts.add(removed(r)));
        if (parts.size() <= MOST_PARTS) {
            return String.join("; ", parts);
        }
        return String.join("; ", parts.subList(0, MOST_PARTS - 1))
                + "; and "
                + (parts.size() - MOST_PARTS + 1)
                + " more";
    }

    /** Several devices as one part; a line that comes with its camera goes without saying. */
    private static List<String> added(List<Item> adds) {
        List<Item> devices = adds.stream().filter(a -> a.ref().kind() == ItemKind.DEVICE).toList();
        if (devices.size() < 2) {
            return adds.stream().map(CommandWords::added).toList();
        }
        List<String> parts = new ArrayList<>();
        parts.add(
                name(devices.get(0))
                        + " to "
                        + name(devices.get(devices.size() - 1))
                        + " added ("
                        + devices.size()
                        + " devices)");
        adds.stream()
                .filter(a -> a.ref().kind() != ItemKind.DEVICE && a.ref().kind() != ItemKind.LINE)
                .forEach(a -> parts.add(added(a)));
        return parts;
    }

    private static String added(Item item) {
        return switch (item.ref().kind()) {
            case WAIVER -> waived(item) + " waived: " + item.text(Field.REASON);
            case PREPARED -> name(item) + " ticked off";
            default -> name(item) + " added";
        };
    }

    private static String removed(Item item) {
        return switch (item.ref().kind()) {
            case WAIVER -> waived(item) + " no longer waived";
            case PREPARED -> name(item) + " no longer ticked off";
            default -> name(item) + " removed";
        };
    }

    /** A finding's key starts with its code. */
    private static String waived(Item waiver) {
        return waiver.text(Field.WAIVED).replaceAll("\\[.*", "");
    }

    private static String edited(Job job, ChangeSet changes, Edit edit) {
        String field = edit.field().wire().replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
        if (edit.field() == Field.FACTS) {
            return name(job, changes, edit.item()) + ": facts changed";
        }
        if (edit.item().kind() == ItemKind.SECRET) {
            return name(job, changes, edit.item()) + " changed";
        }
        return name(job, changes, edit.item())
                + ": "
                + field
                + " "
                + shown(job, changes, edit, edit.before())
                + " to "
                + shown(job, changes, edit, edit.after());
    }

    /** What a reference points to is said by its name. */
    private static String shown(Job job, ChangeSet changes, Edit edit, String text) {
        return edit.field()
                .type()
                .target()
                .filter(kind -> !text.isEmpty())
                .map(kind -> name(job, changes, new ItemRef(kind, Long.parseLong(text))))
                .orElse(orNone(text));
    }

    private static String name(Job job, ChangeSet changes, ItemRef ref) {
        return Stream.concat(
                        job.item(ref).map(JobItems::item).stream(),
                        changes.adds().stream().filter(a -> a.ref().equals(ref)))
                .findFirst()
                .map(CommandWords::name)
                .orElse("an item");
    }

    static String name(Item item) {
        return switch (item.ref().kind()) {
            case SITE -> "Job";
            case SUBNET -> "Subnet " + item.text(Field.CIDR);
            case RANGE -> item.text(Field.FIRST) + " to " + item.text(Field.LAST);
            case DEVICE -> item.text(Field.NAME);
            case LINE -> "Line L" + item.text(Field.NUMBER);
            case ROUTE -> "Control route for " + item.text(Field.ROUTE_FUNCTION);
            case MOUNT -> "Mount";
            case RUN -> "Run to " + item.text(Field.TO_PORT);
            case PRICE -> "Price of " + item.text(Field.PRICED);
            case PREPARED -> "\"" + item.text(Field.DONE_WHAT) + "\"";
            case SECRET -> "Secret (" + item.text(Field.SECRET_USE) + ")";
            case PROFILE -> "Profile " + profileName(item.text(Field.FACTS));
            case WAIVER -> "Waiver";
        };
    }

    private static String profileName(String facts) {
        Matcher name = PROFILE_NAME.matcher(facts);
        return name.find() ? name.group(1) : "of the job";
    }

    private static String orNone(String text) {
        return text.isEmpty() ? "none" : text;
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
