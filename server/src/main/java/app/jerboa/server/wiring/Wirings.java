package app.jerboa.server.wiring;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.seen.PortTold;
import app.jerboa.core.job.cabling.seen.SeenRun;
import app.jerboa.core.job.cabling.seen.SeenWiring;
import app.jerboa.core.job.cabling.seen.SwitchSeen;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.Kebab;
import app.jerboa.server.change.ChangesBody;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.wiring.WiringBodies.AskedSwitch;
import app.jerboa.server.wiring.WiringBodies.SeenRunBody;
import app.jerboa.server.wiring.WiringBodies.UnknownMac;
import app.jerboa.server.wiring.WiringBodies.WiringView;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.snmp.SwitchReader;
import app.jerboa.wire.link.snmp.SwitchTables;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Asks the managed network switches of a job, reading only, and compares. */
@Component
public class Wirings {
    /** Usual for reading; a switch that wants another one says nothing. */
    private static final String COMMUNITY = "public";

    private static final int PATIENCE_MILLIS = 800;

    private final Contacts contacts;

    Wirings(Contacts contacts) {
        this.contacts = contacts;
    }

    /** What every switch that answers has heard, beside the plan. */
    public SeenWiring look(Jobs.Stored stored) {
        return ask(stored).wiring();
    }

    /** How each switch answered, and what they heard. */
    record Asked(List<AskedSwitch> switches, SeenWiring wiring) {}

    Asked ask(Jobs.Stored stored) {
        List<AskedSwitch> asked = new ArrayList<>();
        List<SwitchSeen> seen = new ArrayList<>();
        stored.job().devices().stream()
                .filter(d -> d.profile().kind() == DeviceKind.NETWORK_SWITCH)
                .forEach(d -> asked.add(one(stored, d, seen)));
        return new Asked(asked, SeenWiring.of(Cabling.of(stored.job()), seen));
    }

    WiringView view(Jobs.Stored stored, Asked asked) {
        SeenWiring wiring = asked.wiring();
        List<Edit> follows = wiring.runs().stream().flatMap(r -> r.follows().stream()).toList();
        return new WiringView(
                asked.switches(),
                wiring.runs().stream().map(r -> body(stored, r)).toList(),
                wiring.unknown().entrySet().stream()
                        .map(e -> new UnknownMac(e.getKey(), e.getValue().words(stored.job())))
                        .toList(),
                ChangesBody.of(new ChangeSet(List.of(), follows, List.of())));
    }

    private AskedSwitch one(Jobs.Stored stored, Device d, List<SwitchSeen> seen) {
        Optional<Ipv4> address = d.address();
        boolean managed = d.profile().port(Protocol.SNMP).isPresent();
        if (!managed || address.isEmpty()) {
            return silent(d, managed ? "no-address" : "unmanaged");
        }
        try {
            SwitchTables tables = read(stored, d, address.get());
            seen.add(seen(d, tables));
            int up = (int) tables.ports().stream().filter(SwitchTables.PortRow::up).count();
            boolean feeds = tables.budgetWatts() > 0;
            return new AskedSwitch(
                    d.id().value(),
                    d.name(),
                    tables.description(),
                    up,
                    feeds ? tables.givenWatts() : null,
                    feeds ? tables.budgetWatts() : null,
                    "");
        } catch (NoAnswer e) {
            return silent(d, "silent");
        } catch (Problem e) {
            return silentFor(d, e.getMessage());
        }
    }

    private static AskedSwitch silent(Device d, String why) {
        return silentFor(d, Words.say("wiring." + why, Map.of("device", d.name())));
    }

    private static AskedSwitch silentFor(Device d, String why) {
        return new AskedSwitch(d.id().value(), d.name(), "", 0, null, null, why);
    }

    private SwitchTables read(Jobs.Stored stored, Device d, Ipv4 address) {
        Answering answering = contacts.answering(stored, d, address);
        int port =
                answering
                        .ports()
                        .getOrDefault(
                                Protocol.SNMP.toString(),
                                d.profile().port(Protocol.SNMP).orElseThrow());
        return SwitchReader.read(
                new InetSocketAddress(answering.host(), port), COMMUNITY, PATIENCE_MILLIS);
    }

    /** A port is called as its profile calls it; one that names its ports otherwise, by order. */
    private static SwitchSeen seen(Device d, SwitchTables tables) {
        List<String> sockets =
                DeviceSocket.of(d.profile()).stream()
                        .filter(s -> s.signal() == Signal.NETWORK && !s.configures())
                        .map(DeviceSocket::name)
                        .toList();
        List<SwitchSeen.SeenPort> ports = new ArrayList<>();
        for (SwitchTables.PortRow row : tables.ports()) {
            int at = ports.size();
            boolean own = sockets.contains(row.name()) || at >= sockets.size();
            ports.add(
                    new SwitchSeen.SeenPort(
                            own ? row.name() : sockets.get(at),
                            row.up(),
                            row.heard(),
                            !row.neighbour().isEmpty(),
                            new PortTold(row.megabits(), row.powers(), row.powerClass())));
        }
        return new SwitchSeen(d.id(), ports);
    }

    private static SeenRunBody body(Jobs.Stored stored, SeenRun r) {
        String verdict = Kebab.of(r.verdict());
        String planned = r.planned().map(p -> p.words(stored.job())).orElse("");
        String seen = r.seen().map(p -> p.words(stored.job())).orElse("");
        return new SeenRunBody(
                r.device().id().value(),
                r.device().name(),
                r.device().mac(),
                planned,
                seen,
                PortWords.of(r.told()),
                verdict,
                next(r, verdict, planned, seen));
    }

    /** Where it hangs goes before what is odd about the port. */
    private static String next(SeenRun r, String verdict, String planned, String seen) {
        boolean odd =
                r.verdict() == SeenRun.Verdict.AS_PLANNED && r.remark() != SeenRun.Remark.NOTHING;
        return Words.say(
                odd ? "wiring.odd." + Kebab.of(r.remark()) : "wiring.next." + verdict,
                Map.of("device", r.device().name(), "planned", planned, "seen", seen));
    }
}
