package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Numbering;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.proof.Mark;
import app.jerboa.core.motion.Feel;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Axis;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.findings.DeviceMarks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.PluggedLeads;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the desk needs before the socket opens. */
@RestController
@RequestMapping("/api/jobs/{job}/desk")
class DeskController {
    /**
     * Cameras with their keys.
     *
     * @param groupOf the controller of most cameras shows its keys in groups of so many; 0 for none
     * @param feels how this person likes each kind of camera to answer the stick
     */
    record DeskView(List<DeskCamera> cameras, int groupOf, List<FeelBody> feels) {}

    /**
     * One camera with a head.
     *
     * @param profile its kind
     * @param clear somebody said that its place is clear
     * @param onAir its picture goes out, as somebody said
     * @param tally as its switcher says: on, off or not-known; blank where people say it
     * @param key what stands on its key, as the house numbers
     * @param heldBy who drives it now; blank for nobody
     * @param link how the link of whoever drives it stands: unknown, up, slow or lost; else blank
     * @param presence whether it is there while nobody drives it
     * @param way how it is reached, in words; empty when it cannot be
     * @param through what stands between, by name; empty for straight to the camera
     * @param move the lead that must be moved for it, in words; else empty
     * @param chained it hangs on a chain whose cameras can be numbered from here
     * @param tells it can be asked where it points
     * @param turned axes that a stick turns the other way here
     * @param soft between which places it is to point, as somebody set
     * @param cannot why it cannot be driven from here, in words; else empty
     */
    record DeskCamera(
            long id,
            String name,
            int number,
            String key,
            String address,
            String mark,
            String profile,
            boolean clear,
            boolean onAir,
            String tally,
            String heldBy,
            String link,
            Presence presence,
            String way,
            String through,
            String move,
            Optional<LeadBody> lead,
            boolean chained,
            boolean tells,
            String cannot,
            LimitsBody limits,
            LimitsWish soft,
            Turned turned) {}

    /**
     * Of a lead that is not the only one to come to its socket, in this job or another.
     *
     * @param there it is in it, by the plan or by what was said
     * @param by who said so; empty by the plan
     * @param to what it comes to
     * @param others the cameras of the other leads
     */
    record LeadBody(boolean there, String by, String to, String others) {}

    /** Between which places an axis goes: degrees, metres of a rail. */
    record AxisRange(double from, double to) {
        static Optional<AxisRange> of(Optional<Axis> axis) {
            return axis.filter(a -> a.speeds().isPresent())
                    .map(a -> new AxisRange(a.from(), a.to()));
        }
    }

    /**
     * Where the head can point and how fast at full deflection, by its profile.
     *
     * @param roll empty where it cannot be driven; {@code rail} alike
     */
    record LimitsBody(
            double panLeft,
            double panRight,
            double tiltDown,
            double tiltUp,
            double panDegreesPerSecond,
            double tiltDegreesPerSecond,
            Optional<AxisRange> roll,
            Optional<AxisRange> rail) {}

    private static final GateMapper.Said NOTHING_SAID =
            new GateMapper.Said(0, false, false, "", "", "");

    private final Jobs jobs;
    private final Contacts contacts;
    private final Gates gates;
    private final Feels feels;
    private final RollCall rollCall;
    private final PluggedLeads plugged;

    DeskController(
            Jobs jobs,
            Contacts contacts,
            Gates gates,
            Feels feels,
            RollCall rollCall,
            PluggedLeads plugged) {
        this.plugged = plugged;
        this.rollCall = rollCall;
        this.jobs = jobs;
        this.contacts = contacts;
        this.gates = gates;
        this.feels = feels;
    }

    @GetMapping
    DeskView view(
            @PathVariable("job") long id,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        Jobs.Stored stored = jobs.load(id);
        Job job = stored.job();
        Map<Long, GateMapper.Said> said = gates.said(id);
        Numbering numbering = job.site().habits().numbering();
        DeskWays ways = contacts.ways(stored);
        Map<DeviceId, Mark> marks = DeviceMarks.of(stored.proof());
        List<DeskCamera> cameras = new ArrayList<>();
        for (Line line : job.lines()) {
            Optional<Device> headed =
                    job.device(line.camera()).filter(d -> d.profile().head().isPresent());
            if (headed.isEmpty()) {
                continue;
            }
            Device d = headed.get();
            DeskWay way = ways.to(d);
            cameras.add(
                    camera(
                            numbering.key(line.number()),
                            line,
                            d,
                            marks.get(d.id()),
                            way,
                            lead(id, way),
                            said.getOrDefault(d.id().value(), NOTHING_SAID),
                            rollCall.of(new CameraId(id, d.id().value()))));
        }
        return new DeskView(cameras, groupOf(job), feels(job, person));
    }

    private List<FeelBody> feels(Job job, Person person) {
        Map<String, Feel> own = feels.all(person);
        Feel usual = Feel.usual(DeskLaw.of(job));
        return job.lines().stream()
                .flatMap(l -> job.device(l.camera()).stream())
                .map(Device::profile)
                .filter(p -> p.head().isPresent())
                .distinct()
                .map(p -> FeelBody.of(p, own.containsKey(p.id()), own.getOrDefault(p.id(), usual)))
                .toList();
    }

    private static int groupOf(Job job) {
        Map<Integer, Long> cameras =
                job.lines().stream()
                        .flatMap(l -> l.key().stream())
                        .flatMap(k -> job.device(k.controller()).stream())
                        .flatMap(d -> d.profile().keys().stream())
                        .filter(k -> k.groupOf().isPresent())
                        .collect(
                                Collectors.groupingBy(
                                        k -> k.groupOf().getAsInt(), Collectors.counting()));
        return cameras.entrySet().stream()
                .max(
                        Map.Entry.<Integer, Long>comparingByValue()
                                .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse(0);
    }

    private Optional<LeadBody> lead(long job, DeskWay way) {
        return way instanceof DeskWay.OverLine it && plugged.isToBeSaid(job, it)
                ? Optional.of(
                        new LeadBody(
                                plugged.isThere(job, it),
                                plugged.saidBy(job, it).orElse(""),
                                it.from().name(),
                                DeskWords.others(it)))
                : Optional.empty();
    }

    private static DeskCamera camera(
            String key,
            Line of,
            Device d,
            Mark mark,
            DeskWay way,
            Optional<LeadBody> lead,
            GateMapper.Said said,
            Presence presence) {
        var head = d.profile().head().orElseThrow();
        return new DeskCamera(
                d.id().value(),
                d.name(),
                of.number(),
                key,
                d.address().map(Ipv4::toString).orElse(""),
                mark.wire(),
                d.profile().id(),
                said.clear(),
                said.onAir(),
                said.tally(),
                said.heldBy(),
                said.link(),
                lead.filter(l -> !l.there()).isPresent() ? Presence.UNKNOWN : presence,
                DeskWords.way(way),
                DeskWords.through(d, way),
                DeskWords.move(way),
                lead,
                way instanceof DeskWay.OverLine chain && chain.protocol() == Protocol.VISCA_SERIAL,
                !(way instanceof DeskWay.OverLine line && !line.tells()),
                way instanceof DeskWay.None none ? DeskWords.without(d, none) : "",
                new LimitsBody(
                        head.panLeftDegrees(),
                        head.panRightDegrees(),
                        head.tiltDownDegrees(),
                        head.tiltUpDegrees(),
                        head.pan().fastest(),
                        head.tilt().fastest(),
                        AxisRange.of(head.roll()),
                        AxisRange.of(head.rail())),
                LimitsWish.of(d.steering()),
                Turned.of(d.steering()));
    }
}
