package app.jerboa.core.bringup;

import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The ordered steps of a bring-up, and how long they take one technician. */
public record RunSheet(List<Step> steps) {
    public RunSheet {
        steps = List.copyOf(steps);
    }

    /**
     * Seconds from the start of step {@code from} (0 is the first) to the end: the technician's own
     * time, and boots that nothing else can be done beside.
     *
     * @param running seconds left of boots that are under way now
     */
    public int secondsFrom(
            int from,
            StepTimes times,
            Map<DeviceId, Integer> bootSeconds,
            Map<DeviceId, Integer> running) {
        int now = 0;
        Map<DeviceId, Integer> readyAt = new HashMap<>(running);
        for (Step step : steps.subList(Math.min(from, steps.size()), steps.size())) {
            int ready = step.device().map(d -> readyAt.getOrDefault(d, 0)).orElse(0);
            now = (step.kind().waits() ? Math.max(now, ready) : now) + seconds(step, times);
            if (step.kind().boots()) {
                DeviceId id = step.device().orElseThrow();
                readyAt.put(id, now + bootSeconds.getOrDefault(id, 0));
            }
        }
        return now;
    }

    private static int seconds(Step step, StepTimes times) {
        return step.kind().work().map(times::of).orElse(0);
    }

    /** How many steps of a kind there are. */
    public long count(Step.Kind kind) {
        return steps.stream().filter(s -> s.kind() == kind).count();
    }
}
