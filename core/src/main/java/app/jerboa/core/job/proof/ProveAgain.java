package app.jerboa.core.job.proof;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What a change would make stale.
 *
 * @param topics in the order in which they are done
 */
public record ProveAgain(DeviceId device, String name, List<Topic> topics) {
    public ProveAgain {
        topics = List.copyOf(topics);
    }

    /**
     * @param after the plan as the change makes it
     * @return by device, in the order of the kit; empty when nothing is touched
     */
    public static List<ProveAgain> of(Proof before, Job after) {
        Proof then = Proof.of(after, before.observed());
        List<ProveAgain> again = new ArrayList<>();
        for (Device d : after.devices()) {
            Map<Topic, Standing> now = before.known(d.id());
            List<Topic> topics =
                    now.entrySet().stream()
                            .filter(e -> e.getValue().state() != Standing.State.STALE)
                            .map(Map.Entry::getKey)
                            .filter(t -> then.standing(d.id(), t).state() == Standing.State.STALE)
                            .toList();
            if (!topics.isEmpty()) {
                again.add(new ProveAgain(d.id(), d.name(), topics));
            }
        }
        return again;
    }
}
