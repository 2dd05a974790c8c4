package app.jerboa.server.findings;

import app.jerboa.core.finding.Severity;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.proof.Mark;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.value.DeviceId;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** How far every device of a job is: the one word that every page shows. */
public final class DeviceMarks {
    private DeviceMarks() {}

    public static Map<DeviceId, Mark> of(Proof proof) {
        Function<Device, Mark> mark = by(proof, Checks.of(proof));
        return proof.job().devices().stream().collect(Collectors.toMap(Device::id, mark));
    }

    /**
     * Device by device.
     *
     * @param findings of that same proof
     */
    public static Function<Device, Mark> by(Proof proof, List<JobFindings.Judged> findings) {
        Set<DeviceId> stopped = new HashSet<>();
        Set<DeviceId> waived = new HashSet<>();
        for (JobFindings.Judged j : findings) {
            if (j.finding().code().severity() == Severity.STOP) {
                (j.waiver().isEmpty() ? stopped : waived).addAll(j.finding().devices());
            }
        }
        return d -> proof.mark(d, stopped.contains(d.id()), waived.contains(d.id()));
    }
}
