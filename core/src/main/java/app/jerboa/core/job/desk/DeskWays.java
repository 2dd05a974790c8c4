package app.jerboa.core.job.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Port;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The desk's ways to the heads of a job: over the network where a camera or its bridge has an
 * address, else over the lead that the cabling plans for it, from a serial server or from a serial
 * port of this machine.
 */
public final class DeskWays {
    /** Best first: a header tells lost and repeated datagrams apart. */
    private static final List<Protocol> OVER_THE_NETWORK =
            List.of(Protocol.VISCA_IP, Protocol.VISCA_UDP, Protocol.VISCA_TCP);

    private final KitIndex kit;
    private final Map<DeviceId, Line> lines;
    private final Map<DeviceId, ChainOrBus> leads;
    private final List<ChainOrBus> allLeads;
    private final List<Device> servers;
    private final Optional<String> ownPort;

    private DeskWays(Job job) {
        ownPort = Optional.empty();
        kit = KitIndex.of(job);
        lines = new HashMap<>();
        leads = new HashMap<>();
        job.lines().forEach(l -> lines.putIfAbsent(l.camera(), l));
        allLeads =
                ChainOrBus.all(Cabling.of(job)).stream()
                        .filter(l -> l.cameras().stream().anyMatch(c -> serialVoice(c).isPresent()))
                        .toList();
        for (ChainOrBus lead : ChainOrBus.all(Cabling.of(job))) {
            lead.cameras().forEach(d -> leads.putIfAbsent(d.id(), lead));
        }
        servers = job.devices().stream().filter(d -> serves(d.profile())).toList();
    }

    private DeskWays(DeskWays planned, String ownPort) {
        this.kit = planned.kit;
        this.lines = planned.lines;
        this.leads = planned.leads;
        this.allLeads = planned.allLeads;
        this.servers = planned.servers;
        this.ownPort = Optional.of(ownPort);
    }

    /** As planned: a port of this machine is no part of a plan. */
    public static DeskWays of(Job job) {
        return job.worked(DeskWays.class, () -> new DeskWays(job));
    }

    /**
     * The same, with every lead on one serial port of this machine.
     *
     * @param port its path; empty for none, which changes nothing
     */
    public DeskWays from(Optional<String> port) {
        return port.map(p -> new DeskWays(this, p)).orElse(this);
    }

    /** Raw TCP on one side, a serial line on the other: what is said there is said to cameras. */
    public static boolean serves(Profile p) {
        return p.kind() == DeviceKind.LINK
                && p.port(Protocol.VISCA_TCP).isPresent()
                && p.serial().isPresent();
    }

    public DeskWay to(Device camera) {
        return camera.profile().head().isEmpty()
                ? DeskWay.None.because(DeskWay.Why.NO_HEAD)
                : told(camera);
    }

    /** To a camera that is told something, whether it has a head or not. */
    public DeskWay told(Device camera) {
        Optional<DeskWay> straight = overNetwork(camera);
        if (straight.isPresent()) {
            return straight.get();
        }
        Optional<DeskWay> serial = overLine(camera);
        boolean wired = serial.filter(DeskWay.OverLine.class::isInstance).isPresent();
        boolean networked = ends(camera).anyMatch(d -> networkVoice(d).isPresent());
        return networked && !wired
                ? DeskWay.None.because(DeskWay.Why.NO_ADDRESS)
                : serial.orElseGet(() -> DeskWay.None.because(DeskWay.Why.NO_VOICE));
    }

    /** The camera, and what is fitted to it and stands before it on the network. */
    private Stream<Device> ends(Device camera) {
        return Stream.concat(Stream.of(camera), kit.fitted(camera.id()).stream());
    }

    private static Optional<Speaks> networkVoice(Device d) {
        return OVER_THE_NETWORK.stream()
                .flatMap(p -> d.profile().answers(p).stream())
                .filter(s -> s.port().isPresent())
                .findFirst();
    }

    private Optional<DeskWay> overNetwork(Device camera) {
        return ends(camera)
                .filter(d -> d.address().isPresent() && networkVoice(d).isPresent())
                .findFirst()
                .map(d -> straight(d, networkVoice(d).orElseThrow()));
    }

    private static DeskWay straight(Device at, Speaks voice) {
        return new DeskWay.OverNetwork(
                at, at.address().orElseThrow(), voice.protocol(), voice.port().orElseThrow());
    }

    private Optional<DeskWay> overLine(Device camera) {
        return serialVoice(camera).map(voice -> overLine(camera, voice));
    }

    private static Optional<Speaks> serialVoice(Device camera) {
        return Stream.of(Protocol.VISCA_SERIAL, Protocol.D_PROTOCOL)
                .flatMap(p -> camera.profile().answers(p).stream())
                .findFirst();
    }

    private DeskWay overLine(Device camera, Speaks voice) {
        ChainOrBus lead = leads.get(camera.id());
        Line line = lines.get(camera.id());
        if (lead == null) {
            return DeskWay.None.because(DeskWay.Why.NO_LEAD);
        } else if (line == null) {
            return DeskWay.None.because(DeskWay.Why.NO_NUMBER);
        }
        List<Device> alike = alike(camera, line.controlId(), lead);
        if (!alike.isEmpty()) {
            return new DeskWay.None(DeskWay.Why.SAME_NUMBER, alike);
        }
        Optional<Device> server = server(lead);
        return end(server)
                .<DeskWay>map(
                        end ->
                                new DeskWay.OverLine(
                                        end,
                                        voice.protocol(),
                                        line.controlId(),
                                        rate(end, lead),
                                        voice.twoWay(),
                                        lead,
                                        moved(server, lead),
                                        others(server, lead)))
                .orElseGet(() -> DeskWay.None.because(DeskWay.Why.NO_SERVER));
    }

    private Optional<DeskEnd> end(Optional<Device> server) {
        return ownPort.<DeskEnd>map(DeskEnd.OwnPort::new).or(() -> server.map(DeskWays::served));
    }

    private static DeskEnd served(Device server) {
        return new DeskEnd.Server(
                server,
                server.address().orElseThrow(),
                server.profile().port(Protocol.VISCA_TCP).orElseThrow());
    }

    /** A server's as it is set; a port of this machine opens as the lead's own devices stand. */
    private static SerialSettings rate(DeskEnd end, ChainOrBus lead) {
        return Stream.concat(end.device().stream(), lead.cameras().stream())
                .flatMap(d -> SerialSettings.of(d).stream())
                .findFirst()
                .orElse(SerialSettings.USUAL);
    }

    /** A port of this machine takes the place of a server that is planned on the lead. */
    private static Optional<Link> moved(Optional<Device> server, ChainOrBus lead) {
        return server.filter(lead.stations()::contains).isPresent()
                ? Optional.empty()
                : lead.links().stream().findFirst();
    }

    /**
     * A port of this machine is one socket; a server has one for each signal, and its own leads.
     */
    private List<ChainOrBus> others(Optional<Device> server, ChainOrBus lead) {
        boolean own = ownPort.isPresent();
        return allLeads.stream()
                .filter(o -> !o.equals(lead))
                .filter(o -> own || o.signal() == lead.signal() && server(o).equals(server))
                .filter(o -> own || moved(server, lead).isPresent() || moved(server, o).isPresent())
                .toList();
    }

    private List<Device> alike(Device camera, int number, ChainOrBus lead) {
        return lead.cameras().stream()
                .filter(d -> !d.equals(camera))
                .filter(d -> lines.containsKey(d.id()))
                .filter(d -> lines.get(d.id()).controlId() == number)
                .toList();
    }

    /** The one on the lead by the plan, else the first with a socket for it. */
    public Optional<Device> server(ChainOrBus lead) {
        return servers.stream()
                .filter(s -> s.address().isPresent())
                .filter(s -> lead.stations().contains(s))
                .findFirst()
                .or(
                        () ->
                                servers.stream()
                                        .filter(s -> s.address().isPresent())
                                        .filter(s -> takes(s.profile(), lead.signal()))
                                        .findFirst());
    }

    private static boolean takes(Profile server, Signal signal) {
        return server.ports().stream().map(Port::join).anyMatch(j -> j.signal() == signal);
    }
}
