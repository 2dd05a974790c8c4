package app.jerboa.core.job.edit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

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
        JobLinks.insistOnGround(count(items, ItemKind.SITE), count(items, ItemKind.SUBNET));
        Job job = Job.of(typed);
        JobLinks.check(job, items);
        return sound(job);
    }

    private static long count(Collection<Item> items, ItemKind kind) {
        return items.stream().filter(i -> i.ref().kind() == kind).count();
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
        insistOnNew(job, changes.adds());
        Change change = new Change(job);
        changes.adds().forEach(a -> change.touched.put(a.ref(), a));
        changes.edits().forEach(e -> change.touched.put(e.item(), edited(change.now(e.item()), e)));
        for (Item remove : changes.removes()) {
            insistSame(remove, change.now(remove.ref()));
            change.touched.remove(remove.ref());
            change.gone.add(remove.ref());
        }
        JobLinks.insistOnGround(
                change.count(ItemKind.SITE, changes), change.count(ItemKind.SUBNET, changes));
        ProfileShelf all = shelfAfter(change);
        Job after = job.followedBy(change.put(all, changes), change.gone, touched(changes));
        JobLinks.check(
                after, changes.removes().isEmpty() ? change.touched.values() : pointingOut(after));
        sound(after);
        rules.forEach(rule -> rule.check(after, changes));
        return after;
    }

    /** What a change makes of a job's items, while it is gathered. */
    private static final class Change {
        private final Job job;
        private final Map<ItemRef, Item> touched = new HashMap<>();
        private final Set<ItemRef> gone = new HashSet<>();

        Change(Job job) {
            this.job = job;
        }

        Item now(ItemRef ref) {
            Item item = touched.get(ref);
            if (item != null) {
                return item;
            }
            return gone.contains(ref) ? missing(ref) : standing(job, List.of(ref)).get(0);
        }

        private static Item missing(ItemRef ref) {
            throw new ItemMissing(ref, "is not in this job");
        }

        long count(ItemKind kind, ChangeSet changes) {
            return job.items(kind).size()
                    + JobEditor.count(changes.adds(), kind)
                    - JobEditor.count(changes.removes(), kind);
        }

        /** The items that are new or others now; those of a profile that changed among them. */
        List<JobItem> put(ProfileShelf all, ChangeSet changes) {
            List<JobItem> put = new ArrayList<>();
            if (profilesChanged(changes)) {
                Stream.concat(job.devices().stream(), job.prepared().stream())
                        .filter(i -> !touched.containsKey(i.ref()) && !gone.contains(i.ref()))
                        .forEach(i -> put.add(JobItems.typed(JobItems.item(i), all)));
            }
            touched.values().forEach(i -> put.add(JobItems.typed(i, all)));
            return put;
        }
    }

    private static void insistOnNew(Job job, List<Item> adds) {
        if (adds.isEmpty()) {
            return;
        }
        Map<Long, ItemRef> added = new HashMap<>();
        for (Item add : adds) {
            if (added.put(add.ref().id(), add.ref()) != null) {
                throw new ItemMissing(add.ref(), "is there already");
            }
        }
        job.items()
                .map(i -> added.get(i.ref().id()))
                .filter(Objects::nonNull)
                .findFirst()
                .ifPresent(
                        there -> {
                            throw new ItemMissing(there, "is there already");
                        });
    }

    /** A changed profile changes its devices. */
    private static Parts touched(ChangeSet changes) {
        Parts touched = Parts.touchedBy(changes);
        return touched.kinds().contains(ItemKind.PROFILE)
                ? touched.with(ItemKind.DEVICE, ItemKind.PREPARED)
                : touched;
    }

    private static Job sound(Job job) {
        SubnetRules.check(job.subnets());
        return job;
    }

    private ProfileShelf shelfAfter(Change change) {
        Map<ItemRef, OwnProfile> own = new TreeMap<>();
        change.job.profiles().stream()
                .filter(p -> !change.gone.contains(p.ref()))
                .forEach(p -> own.put(p.ref(), p));
        own(change.touched.values()).forEach(p -> own.put(p.ref(), p));
        long ids = own.values().stream().map(p -> p.profile().id()).distinct().count();
        if (ids < own.size()) {
            OwnProfile last = List.copyOf(own.values()).get(own.size() - 1);
            Reason reason = Reason.of("text.profile-twice");
            throw new ItemRejected(
                    last.ref(), Field.FACTS, new TextRejected(last.facts(), 0, reason));
        }
        return shelf.with(own.values());
    }

    private static boolean profilesChanged(ChangeSet changes) {
        return changes.removes().stream().anyMatch(r -> r.ref().kind() == ItemKind.PROFILE)
                || changes.edits().stream().anyMatch(e -> e.item().kind() == ItemKind.PROFILE);
    }

    /** Items whose references may point nowhere now that something is gone. */
    private static List<Item> pointingOut(Job job) {
        return job.items()
                .filter(i -> JobLinks.pointsOut(i.ref().kind()))
                .map(JobItems::item)
                .toList();
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
