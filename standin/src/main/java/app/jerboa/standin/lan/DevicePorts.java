package app.jerboa.standin.lan;

import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Speaks;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.ViscaTcpEar;
import app.jerboa.standin.device.ViscaUdpPort;
import app.jerboa.standin.serial.SerialServerEar;
import app.jerboa.standin.serial.SimulatedLine;
import app.jerboa.wire.link.session.Form;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** The ports of a device by its profile, as far as a stand-in has a voice for the protocol. */
final class DevicePorts {
    private DevicePorts() {}

    /**
     * @param head it has, or drives; empty for a serial server
     * @param lines that hang on it now
     * @param at where to bind; each port takes any free number
     */
    static List<DevicePort> open(
            Profile profile,
            Optional<SimulatedHead> head,
            Supplier<List<SimulatedLine>> lines,
            InetAddress at)
            throws IOException {
        List<DevicePort> ports = new ArrayList<>();
        InetSocketAddress any = new InetSocketAddress(at, 0);
        for (Speaks s : profile.speaks()) {
            if (s.sends()) {
                continue;
            }
            boolean tcp = s.protocol() == Protocol.VISCA_TCP;
            if (tcp && profile.kind() == DeviceKind.LINK) {
                ports.add(TcpPort.open(any, s.protocol(), new SerialServerEar(lines, false)));
            } else if (tcp && head.isPresent()) {
                ports.add(TcpPort.open(any, s.protocol(), new ViscaTcpEar(head.get())));
            } else if (s.protocol() == Protocol.VISCA_IP && head.isPresent()) {
                ports.add(ViscaUdpPort.open(any, Form.HEADER, head.get()));
            } else if (s.protocol() == Protocol.VISCA_UDP && head.isPresent()) {
                ports.add(ViscaUdpPort.open(any, Form.RAW, head.get()));
            }
        }
        return List.copyOf(ports);
    }
}
