package app.jerboa.server.job;

import app.jerboa.core.job.AddressRange;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobAddresses;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.job.Schools;
import app.jerboa.core.job.Site;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.job.identity.LineNumbers;
import app.jerboa.core.job.identity.Numbers;
import app.jerboa.core.net.AddressFacts;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Lan;
import app.jerboa.core.net.SubnetSum;
import app.jerboa.core.profile.Function;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Lengths;
import app.jerboa.server.findings.Checks;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.findings.FindingWords;
import app.jerboa.server.job.Rows.CommandRow;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Members;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.Author;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Turns a stored job into what its pages show. */
@Service
public class JobViews {
    private final Jobs jobs;
    private final JobMapper mapper;
    private final FindingWords words;
    private final Members members;
    private final Logbook log;

    JobViews(Jobs jobs, JobMapper mapper, FindingWords words, Members members, Logbook log) {
        this.jobs = jobs;
        this.mapper = mapper;
        this.words = words;
        this.members = members;
        this.log = log;
    }

    @Transactional(readOnly = true)
    public JobView view(long id, Author person) {
        return view(jobs.load(id), person);
    }

    /** Of a job that is at hand, for example right after a change. */
    @Transactional(readOnly = true)
    public JobView view(Jobs.Stored stored, Author person) {
        long id = stored.id();
        Job job = stored.job();
        Map<DeviceId, String> names = names(job);
        List<JobView.SubnetBody> subnets = subnets(job);
        return new JobView(
                stored.id(),
                job.name(),
                stored.version(),
                members.role(id, person).map(Role::wire).orElse(""),
                site(job.site()),
                subnets.get(0),
                subnets,
                job.ranges().stream().map(JobViews::houseRange).toList(),
                job.devices().stream().map(JobViews::device).toList(),
                lines(job, names),
                runs(job),
                ownProfiles(job),
                findings(job),
                mapper.newestDone(id, person.id()).map(CommandRow::label).orElse(""),
                mapper.oldestUndone(id, person.id()).map(CommandRow::label).orElse(""),
                lastLog(id));
    }

    private static String ownProfiles(Job job) {
        return Integer.toHexString(
                job.profiles().stream().map(OwnProfile::facts).toList().hashCode());
    }

    public List<FindingBody> findings(Job job) {
        Map<Long, String> names = new HashMap<>();
        job.devices().forEach(d -> names.put(d.id().value(), d.name()));
        job.lines().forEach(l -> names.put(l.id(), job.label(l)));
        job.mounts().forEach(m -> names.put(m.id(), names.get(m.camera().value())));
        runs(job).forEach(r -> names.put(r.id(), r.name()));
        return Checks.of(job).stream().map(j -> words.body(j, names::get)).toList();
    }

    private static List<JobView.RunName> runs(Job job) {
        Map<DeviceId, String> names = names(job);
        return job.runs().stream()
                .map(
                        r ->
                                new JobView.RunName(
                                        r.id(), names.get(r.to().device()) + " " + r.to().port()))
                .toList();
    }

    private static Map<DeviceId, String> names(Job job) {
        return job.devices().stream().collect(Collectors.toMap(Device::id, Device::name));
    }

    private JobView.LogBody lastLog(long id) {
        return log.newest(id)
                .map(e -> new JobView.LogBody(e.at(), e.person(), e.text()))
                .orElse(
                        new JobView.LogBody(
                                OffsetDateTime.ofInstant(Instant.EPOCH, ZoneOffset.UTC), "", ""));
    }

    private static JobView.SiteBody site(Site site) {
        Habits habits = site.habits();
        Map<String, String> schools = new LinkedHashMap<>();
        Schools.MATTERS.forEach(m -> schools.put(m.wire(), habits.school(m)));
        return new JobView.SiteBody(
                site.id(),
                site.name(),
                site.units(),
                habits.standard(),
                habits.numbering().word(),
                habits.powerHeadroom(),
                habits.linkHeadroom(),
                habits.fixingFactor(),
                Lengths.text(habits.usualRun()),
                habits.materials().slack(),
                Lengths.text(habits.materials().reel()),
                habits.materials().spares(),
                habits.outside().uplink().orElse(0),
                habits.outside().service(),
                habits.outside().outgoing().orElse(0),
                schools);
    }

    private static List<JobView.SubnetBody> subnets(Job job) {
        List<AddressFacts> facts = JobAddresses.facts(job);
        return IntStream.range(0, facts.size())
                .mapToObj(i -> subnet(job.subnets().get(i), facts.get(i)))
                .toList();
    }

    private static JobView.SubnetBody subnet(Subnet subnet, AddressFacts facts) {
        Lan lan = facts.lan();
        SubnetSum sum = SubnetSum.of(lan.subnet());
        return new JobView.SubnetBody(
                subnet.id(),
                subnet.name(),
                subnet.vlan().orElse(0),
                lan.subnet().toString(),
                sum.network().toString(),
                sum.broadcast().toString(),
                sum.mask().toString(),
                sum.firstHost().toString(),
                sum.lastHost().toString(),
                sum.hosts(),
                lan.gateway().toString(),
                subnet.laptopHome().toString(),
                lan.pools().stream().map(r -> range(r, "DHCP pool")).toList(),
                lan.reserved().stream().map(r -> range(r, "kept back")).toList(),
                lan.taken().stream().map(t -> range(t.range(), t.holder())).toList(),
                blocks(facts));
    }

    private static List<JobView.RangeBody> blocks(AddressFacts facts) {
        return AddressPlanner.blocksFor(facts).all().entrySet().stream()
                .map(e -> range(e.getValue(), e.getKey().name().toLowerCase(Locale.ROOT)))
                .toList();
    }

    private static JobView.HouseRange houseRange(AddressRange r) {
        return new JobView.HouseRange(
                r.id(),
                r.use(),
                r.range().first().toString(),
                r.range().last().toString(),
                r.holder());
    }

    private static JobView.RangeBody range(Ipv4Range range, String what) {
        return new JobView.RangeBody(range.first().toString(), range.last().toString(), what);
    }

    private static JobView.DeviceBody device(Device d) {
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
                d.fitted().map(DeviceId::value).orElse(0L),
                d.found().map(Ipv4::toString).orElse(""),
                d.mark().name().toLowerCase(Locale.ROOT),
                d.profile().factory().map(FactoryAddress::address).map(Ipv4::toString).orElse(""));
    }

    private static List<JobView.LineBody> lines(Job job, Map<DeviceId, String> names) {
        KitIndex kit = KitIndex.of(job);
        LineNumbers numbers = new LineNumbers(job, kit);
        Cabling cabling = Cabling.of(job, kit);
        return job.lines().stream().map(l -> line(job, l, names, cabling, numbers.of(l))).toList();
    }

    private static JobView.LineBody line(
            Job job, Line l, Map<DeviceId, String> names, Cabling cabling, Numbers numbers) {
        KitIndex kit = cabling.kit();
        return new JobView.LineBody(
                l.id(),
                l.number(),
                job.label(l),
                l.camera().value(),
                l.controlId(),
                key(l.key(), names),
                key(l.also(), names),
                key(l.paint(), names),
                l.input()
                        .map(
                                i ->
                                        new JobView.PlaceBody(
                                                i.switcher().value(),
                                                names.getOrDefault(i.switcher(), ""),
                                                i.number()))
                        .orElse(JobView.PlaceBody.NONE),
                l.tally().orElse(0),
                Wanted.of(l, kit.device(l.camera()).profile()).stream()
                        .map(Function::toString)
                        .toList(),
                l.wants().isPresent(),
                kit.mount(l.camera()).map(Mount::id).orElse(0L),
                kit.mount(l.camera()).map(Mount::place).orElse(""),
                port(cabling, l.camera()),
                kit.device(l.camera()).profile().draw().map(PowerDraw::mostWatts).orElse(0.0),
                numbers.values().keySet().stream()
                        .filter(a -> numbers.differs(a, l.number()))
                        .map(a -> a.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .toList());
    }

    /** Of its own socket, or of what is fitted to it. */
    private static String port(Cabling cabling, DeviceId camera) {
        return Stream.concat(
                        Stream.of(camera), cabling.kit().fitted(camera).stream().map(Device::id))
                .flatMap(
                        d ->
                                cabling.at(d, Signal.NETWORK)
                                        .map(r -> r.beyond(d))
                                        .map(p -> p.device().name() + " " + p.socket().name()))
                .findFirst()
                .orElse("");
    }

    private static JobView.PlaceBody key(Optional<Line.Key> key, Map<DeviceId, String> names) {
        return key.map(
                        k ->
                                new JobView.PlaceBody(
                                        k.controller().value(),
                                        names.getOrDefault(k.controller(), ""),
                                        k.number()))
                .orElse(JobView.PlaceBody.NONE);
    }
}
