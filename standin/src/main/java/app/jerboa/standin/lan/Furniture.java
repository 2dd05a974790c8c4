package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.controller.Entries;
import app.jerboa.standin.device.StoredView;
import app.jerboa.standin.picture.Switcher;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.Function;

/** The devices of a hall, with what controllers hold and switchers show. */
final class Furniture {
    private final InstantSource world;
    private final RigDevice.Around around;
    private final Function<DeviceId, Switcher> switcher;
    private final Map<DeviceId, RigDevice> devices = new LinkedHashMap<>();
    private final Map<DeviceId, Entries> entries = new LinkedHashMap<>();

    /**
     * Asked for also by a device that opens its ports, which holds its own lock and not the hall's.
     */
    private final Map<DeviceId, Switcher> switchers = new ConcurrentSkipListMap<>();

    Furniture(InstantSource world, RigDevice.Around around, Function<DeviceId, Switcher> switcher) {
        this.world = world;
        this.around = around;
        this.switcher = switcher;
    }

    /**
     * Devices of another version of the job: those it knows keep their state.
     *
     * @return those that came fresh from their box
     */
    List<RigDevice> stand(Job job) {
        List<RigDevice> fresh = new ArrayList<>();
        Set<DeviceId> there = new LinkedHashSet<>();
        for (Device d : job.devices()) {
            there.add(d.id());
            RigDevice known = devices.get(d.id());
            if (known != null && known.isLike(d, head(job, d))) {
                known.follow(d);
            } else {
                fresh.add(fresh(job, d));
            }
        }
        devices.values().stream()
                .filter(d -> !there.contains(d.plan().id()))
                .forEach(RigDevice::takeOut);
        devices.keySet().retainAll(there);
        entries.keySet().retainAll(there);
        switchers.keySet().retainAll(there);
        return fresh;
    }

    private RigDevice fresh(Job job, Device d) {
        Optional.ofNullable(devices.get(d.id())).ifPresent(RigDevice::takeOut);
        boolean motor = KitIndex.of(job).fitted(d.id(), Sort.ZOOM_MOTOR).isPresent();
        RigDevice fresh = new RigDevice(d, head(job, d), motor, world, around);
        fresh.keeps(views(job, d));
        devices.put(d.id(), fresh);
        if (d.profile().keys().isPresent() || d.profile().sort() == Sort.RECORDER) {
            entries.put(d.id(), new Entries(d.profile()));
        }
        if (d.profile().tally().isPresent()) {
            switchers.put(d.id(), switcher.apply(d.id()));
        }
        return fresh;
    }

    /** Those of the plan that were read once. */
    private static Map<Integer, StoredView> views(Job job, Device d) {
        Map<Integer, StoredView> views = new LinkedHashMap<>();
        job.presets().stream()
                .filter(p -> p.camera().equals(d.id()) && p.kept().pan().isPresent())
                .forEach(p -> views.putIfAbsent(p.number(), StoredView.of(p, d.profile())));
        return views;
    }

    /** The head that a device has, or drives for what it is fitted to. */
    private static Optional<Head> head(Job job, Device d) {
        return d.profile().sort() == Sort.CONTROL_BRIDGE
                ? d.fitted().flatMap(job::device).map(Device::profile).flatMap(Profile::head)
                : d.profile().head();
    }

    Collection<RigDevice> all() {
        return devices.values();
    }

    /** In the order of the job. */
    Set<DeviceId> ids() {
        return Collections.unmodifiableSet(new LinkedHashSet<>(devices.keySet()));
    }

    /** Null for one that is not there. */
    RigDevice at(DeviceId id) {
        return devices.get(id);
    }

    Optional<Entries> entries(DeviceId controller) {
        return Optional.ofNullable(entries.get(controller));
    }

    Optional<Switcher> switcher(DeviceId id) {
        return Optional.ofNullable(switchers.get(id));
    }

    void clear() {
        devices.values().forEach(RigDevice::takeOut);
        devices.clear();
        entries.clear();
        switchers.clear();
    }

    HallState.Things saved() {
        Map<String, RigDevice.Saved> saved = new LinkedHashMap<>();
        devices.forEach((id, d) -> saved.put(id.toString(), d.saved()));
        Map<String, HallState.Controller> held = new LinkedHashMap<>();
        entries.forEach(
                (id, e) ->
                        held.put(
                                id.toString(), new HallState.Controller(e.entered(), e.pressed())));
        Map<String, Switcher.State> cuts = new LinkedHashMap<>();
        switchers.forEach((id, s) -> cuts.put(id.toString(), s.state()));
        return new HallState.Things(saved, held, cuts);
    }

    /** Devices that are no longer there are passed over. */
    void restore(HallState.Things kept) {
        devices.forEach((id, d) -> known(kept.devices(), id).ifPresent(d::restore));
        entries.forEach(
                (id, e) ->
                        known(kept.controllers(), id)
                                .ifPresent(c -> e.restore(c.entries(), c.pressed())));
        switchers.forEach((id, s) -> known(kept.switchers(), id).ifPresent(s::restore));
    }

    private static <T> Optional<T> known(Map<String, T> kept, DeviceId id) {
        return Optional.ofNullable(kept.get(id.toString()));
    }
}
