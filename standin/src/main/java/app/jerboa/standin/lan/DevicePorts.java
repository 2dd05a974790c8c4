package app.jerboa.standin.lan;

import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Habit;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Speaks;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Habits;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.PanelEar;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.ViscaObeys;
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

/** The ports of a device by its profile, as far as a stand-in has a voice for the protocol. */
final class DevicePorts {
    private static final int PANELS_AT_ONCE = 4;

    private DevicePorts() {}

    /** In a hall each asker has a port of its own, so that all are answered where they asked. */
    private static Habits habits(Profile profile) {
        return new Habits(profile.has(Habit.REFUSES_REPEATS), OptionalInt.empty());
    }

    /**
     * @param obeys what hears VISCA in it; empty for a serial server
     * @param bank of its knobs
     * @param password that its web server and its panel link want
     * @param lines that hang on it now
     * @param at where to bind; each port takes any free number
     */
    static List<DevicePort> open(
            String name,
            Optional<ViscaObeys> obeys,
            KnobBank bank,
            String password,
            Supplier<List<SimulatedLine>> lines,
            InetAddress at)
            throws IOException {
        Profile profile = bank.profile();
        String user = profile.access().map(Access::user).orElse("");
        List<DevicePort> ports = new ArrayList<>();
        InetSocketAddress any = new InetSocketAddress(at, 0);
        for (Speaks s : profile.speaks()) {
            if (s.sends()) {
                continue;
            }
            boolean tcp = s.protocol() == Protocol.VISCA_TCP;
            if (tcp && profile.kind() == DeviceKind.LINK) {
                ports.add(TcpPort.open(any, s.protocol(), new SerialServerEar(lines, false)));
            } else if (tcp && obeys.isPresent()) {
                ports.add(TcpPort.open(any, s.protocol(), new ViscaTcpEar(obeys.get())));
            } else if (s.protocol() == Protocol.VISCA_IP && obeys.isPresent()) {
                ports.add(
                        ViscaUdpPort.open(
                                any, Form.HEADER, obeys.get(), habits(profile), Weather.fair()));
            } else if (s.protocol() == Protocol.VISCA_UDP && obeys.isPresent()) {
                ports.add(ViscaUdpPort.open(any, Form.RAW, obeys.get()));
            } else if (s.protocol() == Protocol.WEB && profile.web().isPresent()) {
                ports.add(WebPort.open(any, bank, password));
            } else if (s.protocol() == Protocol.PANEL_LINK && s.port().isPresent()) {
                PanelEar ear = new PanelEar(bank, name, user, password);
                ports.add(TcpPort.open(any, s.protocol(), ear));
            } else if (s.protocol() == Protocol.PANEL_SERVER && s.port().isPresent()) {
                ports.add(
                        TcpPort.open(
                                any,
                                s.protocol(),
                                PANELS_AT_ONCE,
                                () -> new PanelEar(bank, name, user, password)));
            }
        }
        return List.copyOf(ports);
    }
}
