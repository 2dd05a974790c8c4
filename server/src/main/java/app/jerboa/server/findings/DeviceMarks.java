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
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** How far every device of a job is: the one word that every page shows. */
public final class DeviceMarks {
    private final Proof proof;
    private final List<JobFindings.Judged> findings;
    private final Set<DeviceId> stopped;
    private final Set<DeviceId> waived;

    private DeviceMarks(
            Proof proof,
            List<JobFindings.Judged> findings,
            Set<DeviceId> stopped,
            Set<DeviceId> waived) {
        this.proof = proof;
        this.findings = findings;
        this.stopped = stopped;
        this.waived = waived;
    }

    /**
     * @param findings of that same proof
     * @param before of the job before it
     */
    @SuppressWarnings("ReferenceEquality") // A list that nothing touched is the same object.
    public static DeviceMarks of(
            Proof proof, List<JobFindings.Judged> findings, Optional<DeviceMarks> before) {
        return before.filter(b -> b.findings == findings)
                .map(b -> new DeviceMarks(proof, findings, b.stopped, b.waived))
                .orElseGet(() -> of(proof, findings));
    }

    private static DeviceMarks of(Proof proof, List<JobFindings.Judged> findings) {
        Set<DeviceId> stopped = new HashSet<>();
        Set<DeviceId> waived = new HashSet<>();
        for (JobFindings.Judged j : findings) {
            if (j.finding().code().severity() == Severity.STOP) {
                (j.waiver().isEmpty() ? stopped : waived).addAll(j.finding().devices());
            }
        }
        return new DeviceMarks(proof, findings, stopped, waived);
    }

    public static Map<DeviceId, Mark> of(Proof proof) {
        DeviceMarks marks = of(proof, Checks.of(proof));
        return proof.job().devices().stream().collect(Collectors.toMap(Device::id, marks::of));
    }

    public Mark of(Device d) {
        return proof.mark(d, stopped.contains(d.id()), waived.contains(d.id()));
    }

    /** Every mark is as it was: the same devices, stopped by as much, and nothing seen of any. */
    @SuppressWarnings("ReferenceEquality") // Lists that nothing touched are the same objects.
    public boolean areThoseOf(DeviceMarks before) {
        return proof.job().devices() == before.proof.job().devices()
                && proof.observed().nothing()
                && before.proof.observed().nothing()
                && stopped.equals(before.stopped)
                && waived.equals(before.waived);
    }
}
