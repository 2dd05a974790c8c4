package app.jerboa.standin;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Habit;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.asked.DiscoveryPort;
import app.jerboa.standin.asked.SelfPortrait;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.Habits;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.SimulatedBody;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.ViscaObeys;
import app.jerboa.standin.device.ViscaTcpEar;
import app.jerboa.standin.device.ViscaUdpPort;
import app.jerboa.standin.device.Weather;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.visca.IpPacket;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/**
 * Devices of one profile without a hall, for any program to talk to.
 *
 * <p>{@code --visca-ip}, {@code --visca-udp} and {@code --visca-tcp} name ports; without any, those
 * of the profile. {@code --web}, {@code --panel-link} and {@code --panel-server} do the same for
 * knobs told by requests and keys, with {@code --password}; {@code --rtsp} for its network picture.
 * {@code --discovery on} lets it be found on the link of its address, which may then be another
 * than loopback. {@code --serial-tcp} opens a serial server with {@code --chain} heads behind it,
 * or with heads on a bus where the profile speaks the D protocol. {@code --count} puts so many on
 * addresses that count up. {@code --loss}, {@code --delay}, {@code --reorder} and {@code
 * --duplicates} make the network poor; {@code --repeats refused} and {@code --answers-to} are
 * habits of some cameras; {@code --fault
 * reversed:2,broken:3,pair-swapped:1,no-terminator,echo,terminal} breaks the line.
 */
final class AloneDevices {
    static final Set<String> OPTIONS =
            new LinkedHashSet<>(
                    List.of(
                            "device",
                            "bind",
                            "count",
                            "visca-ip",
                            "visca-udp",
                            "visca-tcp",
                            "serial-tcp",
                            "web",
                            "rtsp",
                            "panel-link",
                            "panel-server",
                            "discovery",
                            "password",
                            "chain",
                            "baud",
                            "first-id",
                            "tells",
                            "fault",
                            "loss",
                            "delay",
                            "reorder",
                            "duplicates",
                            "seed",
                            "repeats",
                            "answers-to",
                            "speed"));

    private static final int RAW_PORT = 1259;
    private static final int TCP_PORT = 5678;
    private static final int MOST_DEVICES = 1_000;
    private static final int PERCENT = 100;
    private static final int MOST_DELAY_MILLIS = 5_000;

    private final Options options;
    private final Profile profile;
    private final WorldClock clock;
    private final List<String> lines = new ArrayList<>();

    AloneDevices(Options options) {
        this.options = options;
        String id = options.text("device").orElse("ceiling-ptz");
        this.profile =
                ShippedProfiles.read(id)
                        .filter(p -> p.head().isPresent() || !p.knobs().isEmpty())
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "no stand-in for the device \"" + id + "\""));
        this.clock = Main.clock(options, InstantSource.system().instant());
    }

    /** Opens all; what stands where, a line each. */
    List<String> open() throws IOException {
        InetAddress first = InetAddress.getByName(options.text("bind").orElse("127.0.0.1"));
        if (!first.isLoopbackAddress() && !options.has("discovery")) {
            throw new IllegalArgumentException("stand-ins bind to loopback only");
        }
        int count = options.whole("count", 1, MOST_DEVICES);
        for (int i = 0; i < count; i++) {
            Ipv4 address = Ipv4.parse(first.getHostAddress()).plus(i);
            openAt(InetAddress.getByName(address.toString()));
        }
        return lines;
    }

    private KnobBank freshBank() {
        return new KnobBank(profile, options.whole("seed", 1, Integer.MAX_VALUE));
    }

    /** A head, or a camera that stands on somebody's shoulder. */
    private ViscaObeys obeys(KnobBank bank) {
        return profile.head().isPresent() ? head(bank) : new SimulatedBody(bank);
    }

    private SimulatedHead head(KnobBank bank) {
        return new SimulatedHead(
                facts(),
                bank,
                () -> clock.at(InstantSource.system().instant()),
                InstantSource.system());
    }

    private Head facts() {
        return profile.head().orElseThrow();
    }

    private void openAt(InetAddress at) throws IOException {
        boolean network = asked(Protocol.VISCA_IP, "visca-ip");
        boolean raw = asked(Protocol.VISCA_UDP, "visca-udp");
        boolean tcp = asked(Protocol.VISCA_TCP, "visca-tcp");
        KnobBank bank = freshBank();
        ViscaObeys head = obeys(bank);
        boolean told = new AloneTold(options, profile, clock, this).open(at, bank, head);
        if (options.has("discovery")) {
            found(at);
        }
        if (network || raw || tcp) {
            if (network) {
                opened(at, udp(at, "visca-ip", IpPacket.PORT, Form.HEADER, head), "VISCA over IP");
            }
            if (raw) {
                opened(at, udp(at, "visca-udp", RAW_PORT, Form.RAW, head), "VISCA over raw UDP");
            }
            if (tcp) {
                InetSocketAddress place =
                        new InetSocketAddress(at, options.port("visca-tcp", TCP_PORT));
                opened(
                        at,
                        TcpPort.open(
                                place,
                                Protocol.VISCA_TCP,
                                new ViscaTcpEar(Gate.open(Optional.of(head)))),
                        "VISCA over TCP");
            }
        }
        if (options.has("serial-tcp") || !(network || raw || tcp || told)) {
            AloneLine line = new AloneLine(options, profile, this::freshBank, this::head);
            opened(at, line.open(at), line.what());
        }
    }

    /** It answers a probe to all; for a namespace of its own, where nobody else hears it. */
    private void found(InetAddress at) throws IOException {
        String host = at.getHostAddress();
        UUID id = UUID.nameUUIDFromBytes(host.getBytes(StandardCharsets.UTF_8));
        String service = "http://" + host + "/onvif/device_service";
        SelfPortrait self = SelfPortrait.of(profile.name(), host.replace(".", ""));
        opened(at, DiscoveryPort.listening(at, id, () -> service, () -> self), "WS-Discovery");
    }

    int usual(Protocol protocol) {
        return profile.port(protocol).orElse(0);
    }

    /** Named, or the profile's own where no port is named at all. */
    boolean asked(Protocol protocol, String name) {
        boolean any =
                List.of(
                                "visca-ip",
                                "visca-udp",
                                "visca-tcp",
                                "serial-tcp",
                                "web",
                                "rtsp",
                                "panel-link",
                                "panel-server")
                        .stream()
                        .anyMatch(options::has);
        return any ? options.has(name) : profile.answers(protocol).isPresent();
    }

    void say(String line) {
        lines.add(profile.id() + ": " + line);
    }

    void opened(InetAddress at, DevicePort port, String what) {
        say(what + " on " + at.getHostAddress() + ":" + port.port());
    }

    private ViscaUdpPort udp(InetAddress at, String name, int usual, Form form, ViscaObeys head)
            throws IOException {
        InetSocketAddress place = new InetSocketAddress(at, options.port(name, usual));
        return ViscaUdpPort.open(place, form, head, habits(), weather());
    }

    private Habits habits() {
        String usual = profile.has(Habit.REFUSES_REPEATS) ? "refused" : "answered";
        String repeats = options.text("repeats").orElse(usual);
        if (!repeats.equals("answered") && !repeats.equals("refused")) {
            throw new IllegalArgumentException("--repeats is answered or refused");
        }
        return new Habits(
                repeats.equals("refused"),
                options.has("answers-to") || profile.has(Habit.ANSWERS_TO_OWN_PORT)
                        ? OptionalInt.of(options.port("answers-to", IpPacket.PORT))
                        : OptionalInt.empty());
    }

    private Weather weather() {
        return new Weather(
                options.whole("loss", 0, PERCENT),
                options.whole("delay", 0, MOST_DELAY_MILLIS),
                options.whole("reorder", 0, PERCENT),
                options.whole("duplicates", 0, PERCENT),
                options.whole("seed", 1, Integer.MAX_VALUE));
    }
}
