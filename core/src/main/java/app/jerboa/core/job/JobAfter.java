package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The job that follows another: kinds of items that were not touched are the very same lists. */
final class JobAfter {
    private final Job before;

    /** The items of the kinds that a change touched, by their numbers. */
    private final Map<ItemKind, Map<Long, JobItem>> changed = new EnumMap<>(ItemKind.class);

    private JobAfter(Job before, Set<ItemKind> touched) {
        this.before = before;
        for (ItemKind kind : touched) {
            Map<Long, JobItem> items = new LinkedHashMap<>();
            before.items(kind).forEach(i -> items.put(i.ref().id(), i));
            changed.put(kind, items);
        }
    }

    /**
     * @param put items that are new or others now
     * @param gone that are no more
     * @param touched every kind of which anything is put or gone
     */
    static Job of(
            Job before,
            Collection<? extends JobItem> put,
            Set<ItemRef> gone,
            Set<ItemKind> touched) {
        JobAfter after = new JobAfter(before, touched);
        gone.forEach(r -> after.changed.get(r.kind()).remove(r.id()));
        put.forEach(i -> after.changed.get(i.ref().kind()).put(i.ref().id(), after.placed(i)));
        return after.job(touched);
    }

    /** A device that is written anew is where it was found. */
    private JobItem placed(JobItem item) {
        return item instanceof Device d
                ? d.foundAt(Optional.ofNullable(before.found().get(d.id())))
                : item;
    }

    private Job job(Set<ItemKind> touched) {
        return new Job(
                of(Site.class, ItemKind.SITE, List.of(before.site()), Job.BY_ID).get(0),
                of(Subnet.class, ItemKind.SUBNET, before.subnets(), Job.BY_ID),
                of(AddressRange.class, ItemKind.RANGE, before.ranges(), Job.BY_ID),
                of(Device.class, ItemKind.DEVICE, before.devices(), Job.BY_ID),
                of(Line.class, ItemKind.LINE, before.lines(), Job.BY_NUMBER),
                of(ChosenRoute.class, ItemKind.ROUTE, before.routes(), Job.BY_ID),
                of(Mount.class, ItemKind.MOUNT, before.mounts(), Job.BY_ID),
                of(Preset.class, ItemKind.PRESET, before.presets(), Job.BY_ID),
                of(PlannedShots.class, ItemKind.SHOT_LIST, before.shotLists(), Job.BY_ID),
                of(PlannedTake.class, ItemKind.TAKE, before.takes(), PlannedTake.ORDER),
                of(Run.class, ItemKind.RUN, before.runs(), Job.BY_ID),
                of(Price.class, ItemKind.PRICE, before.prices(), Job.BY_ID),
                of(Prepared.class, ItemKind.PREPARED, before.prepared(), Job.BY_ID),
                of(Secret.class, ItemKind.SECRET, before.secrets(), Job.BY_ID),
                of(OwnProfile.class, ItemKind.PROFILE, before.profiles(), Job.BY_ID),
                of(Waiver.class, ItemKind.WAIVER, before.waivers(), Job.BY_ID),
                before.found(),
                before.worked().after(touched));
    }

    private <T extends JobItem> List<T> of(
            Class<T> type, ItemKind kind, List<T> unchanged, Comparator<? super T> order) {
        return changed.containsKey(kind)
                ? changed.get(kind).values().stream().map(type::cast).sorted(order).toList()
                : unchanged;
    }
}
