package app.jerboa.server.view;

import app.jerboa.core.job.AddressRange;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.addresses.JobAddresses;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.net.AddressBlocks;
import app.jerboa.core.value.Made;
import app.jerboa.server.findings.Checks;
import app.jerboa.server.findings.DeviceMarks;
import app.jerboa.server.findings.FindingWords;
import java.util.List;
import java.util.Optional;

/** A job as its pages show it, with what the next version may take over. */
record ShownJob(
        Job job,
        JobParts parts,
        DeviceMarks marks,
        List<AddressBlocks> blocks,
        Made<AddressRange, JobView.HouseRange> ranges,
        Made<Device, JobView.DeviceBody> devices,
        ShownLines lines,
        Made<Run, JobView.RunName> runs,
        ShownFindings findings) {

    /**
     * @param before the version that was shown last, if it is known: what is the same as there is
     *     the very same object
     */
    static ShownJob of(Proof proof, Optional<ShownJob> before, FindingWords words) {
        Job job = proof.job();
        List<AddressBlocks> blocks = JobAddresses.blocks(job);
        List<JobFindings.Judged> found = Checks.of(proof);
        DeviceMarks marks = DeviceMarks.of(proof, found, before.map(ShownJob::marks));
        Made<AddressRange, JobView.HouseRange> ranges =
                Made.kept(
                        job.ranges(),
                        before.map(ShownJob::ranges),
                        (r, instead) -> JobBodies.houseRange(r));
        Made<Device, JobView.DeviceBody> devices =
                before.filter(b -> marks.areThoseOf(b.marks))
                        .map(ShownJob::devices)
                        .orElseGet(() -> devices(job, marks, before));
        ShownLines lines = ShownLines.of(proof, before.map(ShownJob::lines));
        Made<Run, JobView.RunName> runs = runs(job, before);
        ShownFindings findings =
                ShownFindings.of(
                        found,
                        before.map(ShownJob::findings),
                        before.filter(b -> b.names(job, runs)).isEmpty(),
                        new ItemNames(job),
                        words);
        JobParts parts =
                JobBodies.parts(
                        job,
                        subnets(job, blocks, before),
                        ranges.to(),
                        devices.to(),
                        lines.bodies(),
                        runs.to(),
                        findings.bodies());
        return new ShownJob(job, parts, marks, blocks, ranges, devices, lines, runs, findings);
    }

    private static Made<Device, JobView.DeviceBody> devices(
            Job job, DeviceMarks marks, Optional<ShownJob> before) {
        return Made.of(
                job.devices(),
                before.map(ShownJob::devices),
                (d, was) -> JobBodies.device(d, marks.of(d), was));
    }

    @SuppressWarnings("ReferenceEquality") // Lists that nothing touched are the same objects.
    private static Made<Run, JobView.RunName> runs(Job job, Optional<ShownJob> before) {
        KitIndex kit = KitIndex.of(job);
        boolean sameKit = before.filter(b -> b.job.devices() == job.devices()).isPresent();
        Made.Making<Run, JobView.RunName> name =
                (r, was) -> JobBodies.run(r, kit.device(r.to().device()).name(), was);
        Optional<Made<Run, JobView.RunName>> known = before.map(ShownJob::runs);
        return sameKit ? Made.kept(job.runs(), known, name) : Made.of(job.runs(), known, name);
    }

    @SuppressWarnings("ReferenceEquality") // Lists that nothing touched are the same objects.
    private static List<JobView.SubnetBody> subnets(
            Job job, List<AddressBlocks> blocks, Optional<ShownJob> before) {
        return before.filter(b -> b.blocks == blocks)
                .map(b -> b.parts.subnets())
                .orElseGet(() -> JobBodies.subnets(job, blocks));
    }

    /** All items that findings name are called as they were. */
    @SuppressWarnings("ReferenceEquality") // Lists that nothing touched are the same objects.
    private boolean names(Job now, Made<Run, JobView.RunName> nowRuns) {
        return now.site() == job.site()
                && now.devices() == job.devices()
                && now.lines() == job.lines()
                && now.mounts() == job.mounts()
                && nowRuns.to().equals(runs.to());
    }
}
