package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.item.Parts;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The job that follows another: kinds of items that were not touched are the very same lists. */
final class JobAfter {
    private final Job before;
    private final Parts touched;
    private final Set<ItemRef> gone;

    /** By their refs, in the order in which they were put. */
    private final Map<ItemRef, JobItem> put = new LinkedHashMap<>();

    private JobAfter(Job before, Parts touched, Set<ItemRef> gone) {
        this.before = before;
        this.touched = touched;
        this.gone = gone;
    }

    /**
     * @param put items that are new or others now
     * @param gone that are no more
     * @param touched all that differs
     */
    static Job of(Job before, Collection<? extends JobItem> put, Set<ItemRef> gone, Parts touched) {
        JobAfter after = new JobAfter(before, touched, gone);
        put.forEach(i -> after.put.put(i.ref(), after.placed(i)));
        return after.job();
    }

    /** A device that is written anew is where it was found. */
    private JobItem placed(JobItem item) {
        return item instanceof Device d
                ? d.foundAt(Optional.ofNullable(before.found().get(d.id())))
                : item;
    }

    private Job job() {
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
        if (!touched.kinds().contains(kind)) {
            return unchanged;
        }
        List<T> all = new ArrayList<>(unchanged.size() + put.size());
        all.addAll(unchanged);
        if (gone.stream().anyMatch(r -> r.kind() == kind)) {
            all.removeIf(i -> gone.contains(i.ref()));
        }
        Map<ItemRef, T> others = new HashMap<>();
        put.values().stream()
                .filter(i -> i.ref().kind() == kind)
                .forEach(i -> others.put(i.ref(), type.cast(i)));
        if (!inTheirPlaces(all, others.values(), order)) {
            all.replaceAll(i -> Optional.ofNullable(others.remove(i.ref())).orElse(i));
            all.addAll(others.values());
            all.sort(order);
        }
        return all;
    }

    /** Each is put where the one of its ref is; false once one is not there by its order. */
    private static <T extends JobItem> boolean inTheirPlaces(
            List<T> all, Collection<T> others, Comparator<? super T> order) {
        for (T other : others) {
            int at = Collections.binarySearch(all, other, order);
            if (at < 0 || !all.get(at).ref().equals(other.ref())) {
                return false;
            }
            all.set(at, other);
        }
        return true;
    }
}
