package app.jerboa.standin.control;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.HandRules;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.fault.Faults;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.HallState;
import app.jerboa.standin.lan.Port;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.standin.lan.RunFault;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;

/** What the control interface takes and gives, as JSON. */
final class Bodies {
    private Bodies() {}

    /** Speed against the wall clock, 0.1 to 1000. */
    record Speed(double speed) {}

    /**
     * @param job a job file
     * @param passwords that were set at devices, by their ids
     */
    record Furnish(JsonNode job, Map<String, String> passwords) {
        @Override
        public String toString() {
            return "Furnish[…]";
        }
    }

    /** How it begins: {@code unplugged} or {@code as-planned}. */
    record Begin(String how) {}

    /**
     * @param upstream also what it is fed by and reached through
     */
    record Plug(boolean plugged, boolean upstream) {}

    record On(boolean on) {}

    record Reset(boolean networkOnly) {}

    record Login(boolean right, boolean clock) {}

    /** Number, baud, mode, format, overlay, infrared or snmp. */
    record Dial(String dial, String to) {}

    record Infrared(int number, boolean lease) {}

    record Update(String version) {}

    /**
     * @param left {@code keeps-old} or {@code garbage}
     */
    record SaveCut(NetworkSettings settings, Hand.Save.Cut left) {
        SaveCut {
            Objects.requireNonNull(settings);
            Objects.requireNonNull(left);
        }
    }

    record Lent(Ipv4 address) {}

    record Leases(Map<String, Ipv4> lent) {}

    record Key(int key) {}

    /** From -1 to 1. */
    record Stick(double pan, double tilt) {}

    record KnobTurn(String knob, int value) {}

    /**
     * @param near the end that the plan calls from
     * @param device empty for back where it is planned
     */
    record End(boolean near, Optional<DeviceId> device, String port) {}

    record Spoil(Optional<RunFault> fault) {}

    record PortState(Port.State state) {}

    record At(Optional<DeviceId> device) {}

    record Seconds(int seconds) {}

    record Cut(int programme, int preview) {}

    record Seed(long seed, int count) {}

    record Count(int count) {}

    record Target(long target, long seed) {}

    record Health(String status) {}

    record ClockBody(Instant anchorWall, Instant anchorWorld, double speed, Instant worldNow) {
        static ClockBody of(WorldClock clock, Instant now) {
            return new ClockBody(clock.anchorWall(), clock.anchorWorld(), clock.speed(), now);
        }
    }

    /** What came of a hand at a device. */
    record Seen(String says, boolean refused, boolean restarts) {
        static Seen of(HandRules.After after) {
            return new Seen(after.says(), after.refused(), after.restarts());
        }
    }

    /** A job with all that a hall of it keeps. */
    record Snapshot(JsonNode job, HallState state) {}

    record FaultPut(Faults.Put put) {}

    record HallBody(NetworkSettings laptop, List<NetworkSettings> also, List<DeviceBody> devices) {
        static HallBody of(Hall hall) {
            return new HallBody(
                    hall.laptop(),
                    hall.also(),
                    hall.devices().stream().map(d -> DeviceBody.of(hall, d)).toList());
        }
    }

    /**
     * @param mac as its label says
     * @param plugged it has power
     * @param power what a person sees of it, in words
     * @param moving its head is on its way, on any axis
     * @param axes where its head is beside pan and tilt, in degrees or metres
     */
    record DeviceBody(
            String id,
            String name,
            String mac,
            boolean plugged,
            String power,
            String phase,
            double secondsToBoot,
            NetworkSettings settings,
            Optional<HeadState> head,
            boolean moving,
            Map<String, Double> axes,
            Optional<SimulatedHead.Heard> lastDrive,
            Map<String, Integer> knobs) {
        static DeviceBody of(Hall hall, RigDevice d) {
            return new DeviceBody(
                    d.id(),
                    d.name(),
                    d.mac(),
                    d.powered(),
                    hall.seenPower(d.plan().id()),
                    d.phase().name(),
                    d.secondsToBoot(),
                    d.settings(),
                    d.headState(),
                    d.moving(),
                    d.axes(),
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

    /**
     * @param holder id of the one that gets what is sent there now; blank for nobody
     */
    record Reach(boolean onLink, List<Answering> answering, String holder) {
        static Reach of(Hall hall, Ipv4 address) {
            return new Reach(
                    hall.onLink(address),
                    hall.answering(address).stream().map(Answering::of).toList(),
                    hall.holder(address).map(RigDevice::id).orElse(""));
        }
    }
}
