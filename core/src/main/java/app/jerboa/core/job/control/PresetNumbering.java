package app.jerboa.core.job.control;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.PresetCall;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the stored views of each camera are called: as the controller that has it on a key does. */
public final class PresetNumbering {
    private final Map<DeviceId, List<PresetCaller>> callers = new HashMap<>();

    private PresetNumbering(Job job) {
        KitIndex kit = KitIndex.of(job);
        ControlRoutes routes = ControlRoutes.of(job);
        for (Line line : job.lines()) {
            callers.put(line.camera(), PresetCaller.of(routes, kit, line));
        }
    }

    public static PresetNumbering of(Job job) {
        return job.worked(PresetNumbering.class, () -> new PresetNumbering(job));
    }

    /** The controllers that have this camera on a key. */
    public List<PresetCaller> callers(DeviceId camera) {
        return callers.getOrDefault(camera, List.of());
    }

    /**
     * The one that names its views here; empty where none can, and the camera's own numbers hold.
     */
    public Optional<PresetCaller> namedBy(DeviceId camera) {
        return PresetCaller.first(callers(camera));
    }

    /**
     * @param number as the camera keeps it, from 0
     * @return blank for one that its controller has no key for
     */
    public String called(DeviceId camera, int number) {
        return namedBy(camera)
                .map(c -> c.call(number).map(PresetCall::toString).orElse(""))
                .orElseGet(() -> Integer.toString(number));
    }
}
