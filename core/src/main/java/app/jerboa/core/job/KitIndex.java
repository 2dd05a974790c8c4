package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Devices by id and what is fitted to each, without searching. */
public final class KitIndex {
    private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.MOUNT);

    private final Map<DeviceId, Device> byId = new HashMap<>();
    private final Map<DeviceId, List<Device>> fitted = new HashMap<>();
    private final Map<DeviceId, Mount> mounts = new HashMap<>();

    private KitIndex() {}

    public static KitIndex of(Job job) {
        return job.worked(KitIndex.class, READS, KitIndex.class, () -> index(job));
    }

    private static KitIndex index(Job job) {
        KitIndex index = new KitIndex();
        for (Device d : job.devices()) {
            index.byId.put(d.id(), d);
            d.fitted()
                    .ifPresent(
                            to -> index.fitted.computeIfAbsent(to, x -> new ArrayList<>()).add(d));
        }
        job.mounts().forEach(m -> index.mounts.putIfAbsent(m.camera(), m));
        return index;
    }

    /** Of a job that holds together, every id it uses is there. */
    public Device device(DeviceId id) {
        return byId.get(id);
    }

    /** Lens, adapters, motor; in the order they came. */
    public List<Device> fitted(DeviceId camera) {
        return fitted.getOrDefault(camera, List.of());
    }

    /** The first thing of a sort that is fitted to it. */
    public Optional<Device> fitted(DeviceId camera, Sort sort) {
        return fitted(camera).stream().filter(d -> d.profile().sort() == sort).findFirst();
    }

    public Optional<Mount> mount(DeviceId camera) {
        return Optional.ofNullable(mounts.get(camera));
    }
}
