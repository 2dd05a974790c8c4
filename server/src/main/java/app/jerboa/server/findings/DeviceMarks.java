package app.jerboa.server.findings;

import app.jerboa.core.finding.Severity;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.proof.Mark;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** How far every device of a job is: the one word that every page shows. */
public final class DeviceMarks {
    private DeviceMarks() {}

    public static Map<DeviceId, Mark> of(Proof proof) {
        return of(proof, Checks.of(proof));
    }

    /**
     * @param findings of that same proof
     */
    public static Map<DeviceId, Mark> of(Proof proof, List<JobFindings.Judged> findings) {
        Set<DeviceId> stopped = new HashSet<>();
        Set<DeviceId> waived = new HashSet<>();
        for (JobFindings.Judged j : findings) {
            if (j.finding().code().severity() == Severity.STOP) {
                (j.waiver().isEmpty() ? stopped : waived).addAll(j.finding().devices());
            }
        }
        Map<DeviceId, Mark> marks = new HashMap<>();
        for (Device d : proof.job().devices()) {
            marks.put(d.id(), proof.mark(d, stopped.contains(d.id()), waived.contains(d.id())));
        }
        return marks;
    }
}
