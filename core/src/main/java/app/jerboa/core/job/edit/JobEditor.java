package app.jerboa.core.job.edit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.job.Prepared;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.TextRejected;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** A job with changes applied; the same code previews, applies, takes back and does again. */
public final class JobEditor {
    private final ProfileShelf shelf;
    private final List<ChangeRule> rules;

    /**
     * @param rules what changes must heed beyond the texts of their items, in the order in which
     *     they are asked
     */
    public JobEditor(ProfileShelf shelf, ChangeRule... rules) {
        this.shelf = shelf;
        this.rules = List.of(rules);
    }

    /**
     * @param items texts in any order
     * @throws ItemRejected when a text does not say what its field needs or points nowhere
     * @throws ItemMissing without exactly one site and at least one subnet
     */
    public Job read(Collection<Item> items) {
        ProfileShelf all = shelf.with(own(items));
        List<JobItem> typed = items.stream().map(i -> JobItems.typed(i, all)).toList();
        JobLinks.check(items.stream().map(Item::ref).collect(Collectors.toSet()), items);
        return sound(Job.of(typed));
    }

    /** As {@link #read}, for texts that were checked before they were stored. */
    public Job trusted(Collection<Item> items) {
        ProfileShelf all = shelf.with(own(items));
        return Job.of(items.stream().map(i -> JobItems.trusted(i, all)).toList());
    }

    private List<OwnProfile> own(Collection<Item> items) {
        return items.stream()
                .filter(i -> i.ref().kind() == ItemKind.PROFILE)
                .map(i -> (OwnProfile) JobItems.typed(i, shelf))
                .toList();
    }

    /** The profiles that this installation and this job know. */
    public ProfileShelf shelf(Job job) {
        return shelf.with(job.profiles());
    }

    /**
     * @throws ChangeConflict when a field no longer holds what the change starts from
     * @throws ItemRejected when a new text does not say what its field needs, or points nowhere, or
     *     when a rule refuses it
     * @throws ItemMissing when the job has no such item to edit or remove, or has one to be added
     */
    public Job apply(Job job, ChangeSet changes) {
        Map<ItemRef, JobItem> items = new LinkedHashMap<>();
        job.items().forEach(i -> items.put(i.ref(), i));
        Map<ItemRef, Item> touched = new HashMap<>();
        Set<Long> ids = new HashSet<>();
        items.keySet().forEach(r -> ids.add(r.id()));
        for (Item add : changes.adds()) {
            if (!ids.add(add.ref().id())) {
                throw new ItemMissing(add.ref(), "is there already");
            }
            touched.put(add.ref(), add);
        }
        changes.edits()
                .forEach(e -> touched.put(e.item(), edited(now(e.item(), items, touched), e)));
        for (Item remove : changes.removes()) {
            insistSame(remove, now(remove.ref(), items, touched));
            touched.remove(remove.ref());
            items.remove(remove.ref());
        }
        ProfileShelf all = shelfAfter(items, touched);
        touched.forEach((ref, item) -> items.put(ref, JobItems.typed(item, all)));
        if (profilesChanged(changes)) {
            items.replaceAll((ref, item) -> refreshed(item, all));
        }
        JobLinks.check(items.keySet(), looking(items, touched, !changes.removes().isEmpty()));
        Job after = sound(job.followedBy(items.values(), kinds(changes)));
        rules.forEach(rule -> rule.check(after, changes));
        return after;
    }

    /** A changed profile changes its devices. */
    private static Set<ItemKind> kinds(ChangeSet changes) {
        Set<ItemKind> kinds = EnumSet.noneOf(ItemKind.class);
        changes.adds().forEach(i -> kinds.add(i.ref().kind()));
        changes.edits().forEach(e -> kinds.add(e.item().kind()));
        changes.removes().forEach(i -> kinds.add(i.ref().kind()));
        if (kinds.contains(ItemKind.PROFILE)) {
            kinds.add(ItemKind.DEVICE);
            kinds.add(ItemKind.PREPARED);
        }
        return kinds;
    }

    private static Job sound(Job job) {
        SubnetRules.check(job.subnets());
        return job;
    }

    private ProfileShelf shelfAfter(Map<ItemRef, JobItem> items, Map<ItemRef, Item> touched) {
        Map<ItemRef, OwnProfile> own = new TreeMap<>();
        items.forEach(
                (ref, item) -> {
                    if (item instanceof OwnProfile p) {
                        own.put(ref, p);
                    }
                });
        own(touched.values()).forEach(p -> own.put(p.ref(), p));
        long ids = own.values().stream().map(p -> p.profile().id()).distinct().count();
        if (ids < own.size()) {
            OwnProfile last = List.copyOf(own.values()).get(own.size() - 1);
            String reason = "another profile of this job has the same id";
            throw new ItemRejected(
                    last.ref(), Field.FACTS, new TextRejected(last.facts(), 0, reason));
        }
        return shelf.with(own.values());
    }

    private static boolean profilesChanged(ChangeSet changes) {
        return changes.removes().stream().anyMatch(r -> r.ref().kind() == ItemKind.PROFILE)
                || changes.edits().stream().anyMatch(e -> e.item().kind() == ItemKind.PROFILE);
    }

    /** A device of a profile reads it anew; one whose profile is gone is refused. */
    private static JobItem refreshed(JobItem item, ProfileShelf all) {
        return item instanceof Device || item instanceof Prepared
                ? JobItems.typed(JobItems.item(item), all)
                : item;
    }

    /**
     * Items whose references may point nowhere now: the touched ones, and all once something is
     * gone.
     */
    private static Collection<Item> looking(
            Map<ItemRef, JobItem> items, Map<ItemRef, Item> touched, boolean gone) {
        return gone
                ? items.values().stream()
                        .filter(i -> JobLinks.pointsOut(i.ref().kind()))
                        .map(JobItems::item)
                        .toList()
                : touched.values();
    }

    private static Item now(ItemRef ref, Map<ItemRef, JobItem> items, Map<ItemRef, Item> touched) {
        Item item = touched.get(ref);
        if (item != null) {
            return item;
        }
        JobItem stored = items.get(ref);
        if (stored == null) {
            throw new ItemMissing(ref, "is not in this job");
        }
        return JobItems.item(stored);
    }

    private static Item edited(Item now, Edit edit) {
        String actual = now.text(edit.field());
        if (!actual.equals(edit.before())) {
            throw new ChangeConflict(edit, actual);
        }
        return now.with(edit.field(), edit.after());
    }

    private static void insistSame(Item expected, Item actual) {
        for (Field field : expected.ref().kind().fields()) {
            String is = actual.text(field);
            if (!is.equals(expected.text(field))) {
                throw new ChangeConflict(
                        new Edit(expected.ref(), field, expected.text(field), ""), is);
            }
        }
    }

    /** The items a change set would remove, as they stand now, so that they can come back. */
    public static List<Item> standing(Job job, Collection<ItemRef> refs) {
        return refs.stream()
                .map(
                        ref ->
                                job.item(ref)
                                        .map(JobItems::item)
                                        .orElseThrow(
                                                () -> new ItemMissing(ref, "is not in this job")))
                .toList();
    }
}
