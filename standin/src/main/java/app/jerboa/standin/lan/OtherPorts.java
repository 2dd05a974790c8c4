package app.jerboa.standin.lan;

import app.jerboa.core.profile.Protocol;
import app.jerboa.standin.asked.DiscoveryPort;
import app.jerboa.standin.asked.RtspEar;
import app.jerboa.standin.asked.SelfPortrait;
import app.jerboa.standin.asked.SnmpPort;
import app.jerboa.standin.asked.SwitchView;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.LateEar;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.picture.Still;
import app.jerboa.standin.picture.Switcher;
import app.jerboa.standin.picture.SwitcherEar;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Ports of a device that speak of the hall around it. */
record OtherPorts(Hall hall, RigDevice of) implements DevicePorts.Others {
    private static final int AT_ONCE = 8;

    @Override
    public byte[] still() {
        String format = of.condition().dials().format();
        boolean overlay = of.condition().dials().on("overlay");
        return of.sees(hall.now())
                .map(p -> Still.of(p, of.name(), format, hall.now(), overlay))
                .orElseGet(() -> Still.of(of.name(), format, hall.now(), overlay));
    }

    @Override
    public OptionalInt programme() {
        return hall.switcher(of.plan().id()).stream()
                .mapToInt(s -> s.state().programme())
                .findFirst();
    }

    @Override
    public Optional<DevicePort> open(Protocol protocol, InetSocketAddress at) throws IOException {
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
                                        () ->
                                                new LateEar(
                                                        new SwitcherEar(
                                                                switcher.get(),
                                                                of.profile().tally(),
                                                                gate),
                                                        gate::delayMillis)));
            }
            case SNMP -> Optional.of(SnmpPort.open(at, new Told(hall, of)));
            case RTSP ->
                    Optional.of(
                            TcpPort.open(
                                    at,
                                    protocol,
                                    AT_ONCE,
                                    () ->
                                            new LateEar(
                                                    new RtspEar(
                                                            () -> picture(of),
                                                            this::still,
                                                            of.door(),
                                                            gate),
                                                    gate::delayMillis)));
            case ONVIF ->
                    Optional.of(
                            DiscoveryPort.open(
                                    at,
                                    UUID.nameUUIDFromBytes(
                                            of.mac().getBytes(StandardCharsets.UTF_8)),
                                    () -> service(of),
                                    () -> self(of),
                                    gate));
            default -> Optional.empty();
        };
    }

    /** Its label bears the serial number, which is made of its MAC here. */
    private static SelfPortrait self(RigDevice of) {
        return SelfPortrait.of(
                of.profile().name(), of.mac().replace(":", "").toUpperCase(Locale.ROOT));
    }

    /** At the address that it believes to have. */
    private static String service(RigDevice of) {
        return "http://" + of.settings().address() + "/onvif/device_service";
    }

    private static RtspEar.Picture picture(RigDevice of) {
        return RtspEar.Picture.of(of.name(), of.condition().dials().format(), of.profile());
    }

    /** A switch of the hall, as its agent tells and switches it. */
    private record Told(Hall hall, RigDevice of) implements SwitchView.Hands {
        @Override
        public SwitchView view() {
            return SwitchPorts.of(hall, of);
        }

        @Override
        public boolean tells() {
            return of.gate().own() && of.condition().dials().on("snmp");
        }

        @Override
        public boolean port(String name, boolean on) {
            Port port = new Port(of.plan().id(), name);
            if (hall.portState(port) == Port.State.DEAD) {
                return false;
            }
            hall.port(port, on ? Port.State.ON : Port.State.OFF);
            return true;
        }
    }
}
