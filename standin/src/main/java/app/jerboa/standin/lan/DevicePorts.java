package app.jerboa.standin.lan;

import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Habit;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Speaks;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.Habits;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.LateEar;
import app.jerboa.standin.device.PanelEar;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.ViscaTcpEar;
import app.jerboa.standin.device.ViscaUdpPort;
import app.jerboa.standin.device.Weather;
import app.jerboa.standin.serial.SerialServerEar;
import app.jerboa.standin.serial.SimulatedLine;
import app.jerboa.standin.web.WebPort;
import app.jerboa.wire.link.session.Form;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;

/**
 * The ports of a device by its profile, as far as a stand-in has a voice for the protocol.
 *
 * @param bank of its knobs
 * @param door to its page and its panel link
 * @param gate between its ports and whoever holds its address
 * @param camera it obeys VISCA; a serial server does not
 * @param lines that hang on it now
 * @param others that it has beside the usual ones, by protocol
 */
record DevicePorts(
        String name,
        KnobBank bank,
        Door door,
        Gate gate,
        boolean camera,
        Supplier<List<SimulatedLine>> lines,
        Others others) {
    private static final int PANELS_AT_ONCE = 4;

    /** Ports that a hall knows how to open. */
    interface Others extends WebPort.Shows {
        Optional<DevicePort> open(Protocol protocol, InetSocketAddress at) throws IOException;
    }

    /** In a hall each asker has a port of its own, so that all are answered where they asked. */
    private static Habits habits(Profile profile) {
        return new Habits(profile.has(Habit.REFUSES_REPEATS), OptionalInt.empty());
    }

    /**
     * @param at where to bind; each port takes any free number
     */
    List<DevicePort> open(InetAddress at) throws IOException {
        List<DevicePort> ports = new ArrayList<>();
        InetSocketAddress any = new InetSocketAddress(at, 0);
        try {
            for (Speaks s : bank.profile().speaks()) {
                if (!s.sends()) {
                    one(s, any).ifPresent(ports::add);
                }
            }
        } catch (IOException e) {
            ports.forEach(DevicePort::close);
            throw e;
        }
        return List.copyOf(ports);
    }

    private Optional<DevicePort> one(Speaks s, InetSocketAddress at) throws IOException {
        Profile profile = bank.profile();
        boolean there = s.port().isPresent();
        return switch (s.protocol()) {
            case VISCA_TCP ->
                    profile.kind() == DeviceKind.LINK && !camera
                            ? tcp(s, at, new SerialServerEar(lines, false, gate))
                            : camera ? tcp(s, at, new ViscaTcpEar(gate)) : Optional.empty();
            case VISCA_IP -> camera ? udp(at, Form.HEADER) : Optional.empty();
            case VISCA_UDP -> camera ? udp(at, Form.RAW) : Optional.empty();
            case WEB -> Optional.of(WebPort.open(at, bank, door, gate, others));
            case PANEL_LINK ->
                    there ? tcp(s, at, new PanelEar(bank, name, door, gate)) : Optional.empty();
            case PANEL_SERVER ->
                    there
                            ? Optional.of(
                                    TcpPort.open(
                                            at,
                                            s.protocol(),
                                            PANELS_AT_ONCE,
                                            () -> late(new PanelEar(bank, name, door, gate))))
                            : Optional.empty();
            default -> others.open(s.protocol(), at);
        };
    }

    private Optional<DevicePort> tcp(Speaks s, InetSocketAddress at, TcpPort.Ear ear)
            throws IOException {
        return Optional.of(TcpPort.open(at, s.protocol(), late(ear)));
    }

    private TcpPort.Ear late(TcpPort.Ear ear) {
        return new LateEar(ear, gate::delayMillis);
    }

    private Optional<DevicePort> udp(InetSocketAddress at, Form form) throws IOException {
        return Optional.of(
                ViscaUdpPort.open(
                        at,
                        form,
                        gate.voice(),
                        habits(bank.profile()),
                        Weather.late(gate::delayMillis)));
    }
}
