package app.jerboa.server.view;

import app.jerboa.core.job.AddressRange;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.job.Practices;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.Site;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.proof.Mark;
import app.jerboa.core.net.AddressBlocks;
import app.jerboa.core.net.AddressRole;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.SubnetSum;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Lengths;
import app.jerboa.server.findings.FindingBody;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;

/** A job's items as its pages show them. */
final class JobBodies {
    private JobBodies() {}

    /**
     * @param subnets of the job, in its order, never empty
     * @param ranges of the job, in its order
     * @param devices of the job, in its order
     * @param lines of the job, in its order
     * @param runs of the job, in its order
     */
    static JobParts parts(
            Job job,
            List<JobView.SubnetBody> subnets,
            List<JobView.HouseRange> ranges,
            List<JobView.DeviceBody> devices,
            List<JobView.LineBody> lines,
            List<JobView.RunName> runs,
            List<FindingBody> findings) {
        return new JobParts(
                job.name(),
                site(job.site()),
                subnets.get(0),
                subnets,
                ranges,
                devices,
                lines,
                runs,
                ownProfiles(job),
                findings);
    }

    private static String ownProfiles(Job job) {
        return Integer.toHexString(
                job.profiles().stream().map(OwnProfile::facts).toList().hashCode());
    }

    /**
     * A run by the device it ends at.
     *
     * @param before how a run at its place was called, which may be this one; null for none
     */
    static JobView.RunName run(Run run, String device, JobView.RunName before) {
        String port = run.to().port();
        boolean same =
                before != null
                        && before.id() == run.id()
                        && before.name().length() == device.length() + 1 + port.length()
                        && before.name().startsWith(device)
                        && before.name().endsWith(port);
        return same ? before : new JobView.RunName(run.id(), device + " " + port);
    }

    private static JobView.SiteBody site(Site site) {
        Habits habits = site.habits();
        Map<String, String> practices = new LinkedHashMap<>();
        Practices.MATTERS.forEach(m -> practices.put(m.wire(), habits.practice(m)));
        return new JobView.SiteBody(
                site.id(),
                site.name(),
                site.units(),
                habits.standard(),
                habits.numbering().word(),
                habits.clock(),
                habits.powerHeadroom(),
                habits.linkHeadroom(),
                habits.fixingFactor(),
                Lengths.text(habits.usualRun()),
                habits.materials().slack(),
                Lengths.text(habits.materials().reel()),
                habits.materials().spares(),
                habits.outside().uplink(),
                habits.outside().service(),
                habits.outside().outgoing(),
                practices);
    }

    /**
     * @param blocks one for each subnet, in their order
     */
    static List<JobView.SubnetBody> subnets(Job job, List<AddressBlocks> blocks) {
        return IntStream.range(0, blocks.size())
                .mapToObj(i -> subnet(job.subnets().get(i), blocks.get(i)))
                .toList();
    }

    private static JobView.SubnetBody subnet(Subnet subnet, AddressBlocks blocks) {
        SubnetSum sum = SubnetSum.of(subnet.range());
        return new JobView.SubnetBody(
                subnet.id(),
                subnet.name(),
                subnet.vlan(),
                subnet.range().toString(),
                sum.network().toString(),
                sum.broadcast().toString(),
                sum.mask().toString(),
                sum.firstHost().toString(),
                sum.lastHost().toString(),
                sum.hosts(),
                subnet.gateway().toString(),
                subnet.laptopHome().toString(),
                blocks.all().entrySet().stream()
                        .map(e -> block(e.getKey(), e.getValue()))
                        .toList());
    }

    private static JobView.BlockBody block(AddressRole role, Ipv4Range range) {
        return new JobView.BlockBody(
                range.first().toString(),
                range.last().toString(),
                role.name().toLowerCase(Locale.ROOT));
    }

    static JobView.HouseRange houseRange(AddressRange r) {
        return new JobView.HouseRange(
                r.id(),
                r.use(),
                r.range().first().toString(),
                r.range().last().toString(),
                r.holder());
    }

    /**
     * @param before the same device as it was shown; null for none
     */
    static JobView.DeviceBody device(Device d, Mark mark, JobView.DeviceBody before) {
        return before != null && before.mark().equals(mark.wire()) ? before : body(d, mark);
    }

    private static JobView.DeviceBody body(Device d, Mark mark) {
        return new JobView.DeviceBody(
                d.id().value(),
                d.name(),
                d.profile().kind().wire(),
                d.profile().sort().toString(),
                d.profile().name(),
                d.profile().id(),
                d.addressed(),
                d.mac(),
                d.serialNumber(),
                d.firmware(),
                d.condition(),
                d.format(),
                d.address().map(Ipv4::toString).orElse(""),
                d.prefix(),
                d.gateway().map(Ipv4::toString).orElse(""),
                d.reserved(),
                d.fitted().map(DeviceId::value),
                d.found().map(Ipv4::toString).orElse(""),
                mark.wire(),
                d.profile().factory().map(FactoryAddress::address).map(Ipv4::toString).orElse(""),
                d.profile().paints());
    }
}
