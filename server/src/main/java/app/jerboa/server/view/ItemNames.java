package app.jerboa.server.view;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Run;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongFunction;

/** What items are called; most that findings name are devices, and most others are runs. */
final class ItemNames implements LongFunction<String> {
    private final Job job;
    private final KitIndex kit;

    /** Of lines and mounts, once one of them is asked for. */
    private final Map<Long, String> others = new HashMap<>();

    ItemNames(Job job) {
        this.job = job;
        this.kit = KitIndex.of(job);
    }

    /** Null for what has no name. */
    @Override
    public String apply(long id) {
        Device device = kit.device(new DeviceId(id));
        if (device != null) {
            return device.name();
        }
        Optional<JobItem> run = job.item(new ItemRef(ItemKind.RUN, id));
        if (run.isPresent()) {
            Run.End to = ((Run) run.get()).to();
            return kit.device(to.device()).name() + " " + to.port();
        }
        if (others.isEmpty()) {
            job.lines().forEach(l -> others.put(l.id(), job.label(l)));
            job.mounts().forEach(m -> others.put(m.id(), kit.device(m.camera()).name()));
        }
        return others.get(id);
    }
}
