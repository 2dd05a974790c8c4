package app.jerboa.server.rig;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.job.AddressRange;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.secrets.DeviceAccounts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.LongStream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** The rig's hall of a job, with what of the job has a stand-in, and the serial leads between. */
@Component
class RigHall {
    private final RigClient rig;
    private final DeviceAccounts accounts;
    private final InnerJson json;
    private final Map<Long, RigBodies.Furnish> furnished = new ConcurrentHashMap<>();

    RigHall(RigClient rig, DeviceAccounts accounts, InnerJson json) {
        this.rig = rig;
        this.accounts = accounts;
        this.json = json;
    }

    /**
     * Puts the job's devices into the hall, fresh from the box, unless they are there; asked again
     * only after they changed.
     */
    void furnish(Jobs.Stored stored) {
        RigBodies.Furnish wanted = wanted(stored);
        if (wanted.equals(furnished.get(stored.id()))) {
            return;
        }
        rig.furnish(stored.id(), wanted);
        furnished.put(stored.id(), wanted);
    }

    RigBodies.Hall of(Jobs.Stored stored) {
        furnish(stored);
        return rig.hall(stored.id());
    }

    private RigBodies.Furnish wanted(Jobs.Stored stored) {
        return stored.job().worked(RigBodies.Furnish.class, () -> fresh(stored));
    }

    private RigBodies.Furnish fresh(Jobs.Stored stored) {
        Job job = stored.job();
        RigBodies.Network laptop = network(stored.laptopHome());
        Map<DeviceId, Line> lines = new HashMap<>();
        job.lines().forEach(l -> lines.putIfAbsent(l.camera(), l));
        Iterator<Ipv4> pool = pool(job);
        List<RigBodies.Wanted> devices = new ArrayList<>();
        for (Device d : job.devices()) {
            if (simulated(d)) {
                devices.add(
                        new RigBodies.Wanted(
                                d.id().toString(),
                                d.name(),
                                d.profile().id(),
                                d.mac(),
                                lent(d, pool),
                                driven(job, d),
                                Optional.ofNullable(lines.get(d.id()))
                                        .map(Line::controlId)
                                        .orElse(0),
                                SerialSettings.of(d).map(SerialSettings::baud).orElse(0),
                                password(stored, d),
                                facts(job, d)));
            }
        }
        return new RigBodies.Furnish(laptop, devices, leads(job));
    }

    /** As somebody set it at the device; none where it has its factory's, or none can be read. */
    private Optional<String> password(Jobs.Stored stored, Device d) {
        if (stored.job().password(d.id()).isEmpty()) {
            return Optional.empty();
        }
        try {
            return accounts.of(stored, d).map(DeviceAccounts.Account::password);
        } catch (Problem otherKey) {
            return Optional.empty();
        }
    }

    /** Of a profile that the rig cannot know. */
    private Optional<JsonNode> facts(Job job, Device d) {
        return job.profiles().stream()
                .filter(p -> p.profile().id().equals(d.profile().id()))
                .findFirst()
                .map(p -> json.mapper().readTree(p.facts()));
    }

    /** The addresses that the house lends, in order. */
    private static Iterator<Ipv4> pool(Job job) {
        return job.ranges().stream()
                .filter(r -> r.use().equals("pool"))
                .map(AddressRange::range)
                .flatMap(
                        r ->
                                LongStream.rangeClosed(r.first().bits(), r.last().bits())
                                        .mapToObj(Ipv4::new))
                .iterator();
    }

    private static Optional<RigBodies.Network> lent(Device d, Iterator<Ipv4> pool) {
        boolean asks = d.profile().networked() && d.profile().factory().isEmpty();
        return asks && pool.hasNext()
                ? Optional.of(new RigBodies.Network(pool.next().toString(), d.prefix(), ""))
                : Optional.empty();
    }

    /** The head that a bridge drives for the camera it is fitted to. */
    private static Optional<String> driven(Job job, Device d) {
        return d.fitted()
                .filter(f -> d.profile().sort() == Sort.CONTROL_BRIDGE)
                .map(f -> KitIndex.of(job).device(f).profile())
                .filter(p -> p.head().isPresent())
                .map(Profile::id);
    }

    /** As the desk uses them: each on the server that it reaches it through. */
    private static List<RigBodies.Lead> leads(Job job) {
        DeskWays ways = DeskWays.of(job);
        List<RigBodies.Lead> leads = new ArrayList<>();
        for (ChainOrBus lead : ChainOrBus.all(Cabling.of(job))) {
            ways.server(lead)
                    .ifPresent(
                            server ->
                                    leads.add(
                                            new RigBodies.Lead(
                                                    server.id().toString(),
                                                    lead.signal() == Signal.RS_485,
                                                    SerialSettings.of(server).orElseThrow().baud(),
                                                    lead.cameras().stream()
                                                            .map(c -> c.id().toString())
                                                            .toList())));
        }
        return leads;
    }

    /** There is a stand-in for it: for cameras that are told something, bridges, serial servers. */
    static boolean simulated(Device d) {
        Profile p = d.profile();
        boolean head =
                p.head().isPresent()
                        && (p.port(Protocol.VISCA_IP).isPresent()
                                || p.answers(Protocol.VISCA_SERIAL).isPresent()
                                || p.answers(Protocol.D_PROTOCOL).isPresent());
        boolean told =
                p.kind() == DeviceKind.CAMERA
                        && (p.web().isPresent()
                                || p.port(Protocol.PANEL_LINK).isPresent()
                                || p.port(Protocol.VISCA_IP).isPresent());
        boolean bridge = p.sort() == Sort.CONTROL_BRIDGE && d.fitted().isPresent();
        return head || told || bridge || p.sort() == Sort.SERIAL_SERVER;
    }

    static RigBodies.Network network(LaptopAddress laptop) {
        return new RigBodies.Network(laptop.address().toString(), laptop.prefix(), "");
    }
}
