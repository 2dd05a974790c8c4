package app.jerboa.standin.control;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.Rig;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.NetworkSettings;
import app.jerboa.standin.lan.RigDevice;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What the control interface takes and gives, as JSON. */
final class Bodies {
    private Bodies() {}

    record Speed(double speed) {}

    record Furnish(NetworkSettings laptop, List<Rig.Wanted> devices, List<Rig.Lead> leads) {}

    record Plug(boolean plugged) {}

    record ClockBody(Instant anchorWall, Instant anchorWorld, double speed, Instant worldNow) {
        static ClockBody of(WorldClock clock, Instant now) {
            return new ClockBody(clock.anchorWall(), clock.anchorWorld(), clock.speed(), now);
        }
    }

    record HallBody(NetworkSettings laptop, List<NetworkSettings> also, List<DeviceBody> devices) {
        static HallBody of(Hall hall) {
            return new HallBody(
                    hall.laptop(),
                    hall.also(),
                    hall.devices().stream().map(DeviceBody::of).toList());
        }
    }

    record DeviceBody(
            String id,
            String name,
            boolean plugged,
            String phase,
            double secondsToBoot,
            NetworkSettings settings,
            Optional<HeadState> head,
            Optional<SimulatedHead.Heard> lastDrive,
            Map<String, Integer> knobs) {
        static DeviceBody of(RigDevice d) {
            return new DeviceBody(
                    d.id(),
                    d.name(),
                    d.plugged(),
                    d.phase().name(),
                    d.secondsToBoot(),
                    d.settings(),
                    d.headState(),
                    d.lastDrive(),
                    d.knobs());
        }
    }

    /** Ports by protocol, as profiles write it. */
    record Answering(String id, String name, String mac, String host, Map<String, Integer> ports) {
        static Answering of(RigDevice d) {
            Map<String, Integer> ports = new TreeMap<>();
            d.ports().forEach(p -> ports.put(p.protocol().toString(), p.port()));
            return new Answering(d.id(), d.name(), d.mac(), "127.0.0.1", ports);
        }
    }

    record Reach(boolean onLink, List<Answering> answering) {
        static Reach of(Hall hall, Ipv4 address) {
            return new Reach(
                    hall.onLink(address),
                    hall.answering(address).stream().map(Answering::of).toList());
        }
    }
}
