package app.jerboa.standin.lan;

import app.jerboa.core.profile.Protocol;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.picture.Switcher;
import app.jerboa.standin.picture.SwitcherEar;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.util.Optional;

/** Ports of a device that speak of the hall around it. */
final class OtherPorts {
    private static final int AT_ONCE = 8;

    private OtherPorts() {}

    static Optional<DevicePort> open(
            Hall hall, RigDevice of, Protocol protocol, InetSocketAddress at) throws IOException {
        Gate gate = of.gate();
        return switch (protocol) {
            case SWITCHER -> {
                Optional<Switcher> switcher = hall.switcher(of.plan().id());
                yield switcher.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                TcpPort.open(
                                        at,
                                        protocol,
                                        AT_ONCE,
                                        () -> new SwitcherEar(switcher.get(), gate)));
            }
            default -> Optional.empty();
        };
    }
}
