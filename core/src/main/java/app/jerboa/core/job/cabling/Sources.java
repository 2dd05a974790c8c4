package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.profile.PowerSource;
import java.util.List;
import java.util.function.Predicate;

/**
 * The devices of a job that give power, by their profiles.
 *
 * @param overEthernet by its standard, so that a budget is kept
 * @param limited those that give no more than so many watts over their leads
 */
public record Sources(List<Device> overEthernet, List<Device> limited) {
    public static Sources of(Job job) {
        return job.worked(
                Sources.class,
                Parts.of(ItemKind.DEVICE),
                Sources.class,
                () ->
                        new Sources(
                                those(job, Sources::overEthernet),
                                those(job, g -> g.outWatts().orElse(0) > 0)));
    }

    private static List<Device> those(Job job, Predicate<PowerSource> which) {
        return job.devices().stream()
                .filter(d -> d.profile().gives().filter(which).isPresent())
                .toList();
    }

    static boolean overEthernet(PowerSource gives) {
        return gives.poePorts() > 0 && !gives.passive();
    }
}
