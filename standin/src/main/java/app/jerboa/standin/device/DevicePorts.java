package app.jerboa.standin.device;

import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Speaks;
import app.jerboa.wire.link.session.Form;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;

/** The ports of a device by its profile, as far as a stand-in has a voice for the protocol. */
public final class DevicePorts {
    private DevicePorts() {}

    /**
     * @param at where to bind; each port takes any free number
     */
    public static List<DevicePort> open(Profile profile, SimulatedHead head, InetAddress at)
            throws IOException {
        List<DevicePort> ports = new ArrayList<>();
        InetSocketAddress any = new InetSocketAddress(at, 0);
        for (Speaks s : profile.speaks()) {
            if (s.sends()) {
                continue;
            }
            if (s.protocol() == Protocol.VISCA_IP) {
                ports.add(ViscaUdpPort.open(any, Form.HEADER, head));
            } else if (s.protocol() == Protocol.VISCA_UDP) {
                ports.add(ViscaUdpPort.open(any, Form.RAW, head));
            } else if (s.protocol() == Protocol.VISCA_TCP) {
                ports.add(TcpPort.open(any, Protocol.VISCA_TCP, new ViscaTcpEar(head)));
            }
        }
        return List.copyOf(ports);
    }
}
