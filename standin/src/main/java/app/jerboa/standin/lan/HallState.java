package app.jerboa.standin.lan;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.fault.Faults;
import app.jerboa.standin.picture.Switcher;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All that a hall keeps over a restart, without the job it stands for and without passwords. */
public record HallState(
        Laptop laptop,
        Map<Long, Lead> leads,
        List<PortState> ports,
        List<DeviceId> supplies,
        Map<String, RigDevice.Saved> devices,
        Map<String, Controller> controllers,
        Map<String, Switcher.State> switchers,
        Map<String, Ipv4> leases,
        boolean relay,
        Duration announced,
        Map<String, Double> spent,
        List<Faults.Put> faults,
        List<NetworkSettings> strangers) {
    /**
     * @param at what it is plugged into; empty for wherever most of the hall is
     */
    public record Laptop(
            NetworkSettings own,
            List<NetworkSettings> also,
            Optional<DeviceId> at,
            boolean wireless,
            Instant listening) {}

    /** A port that somebody switched, or that died. */
    public record PortState(Port port, Port.State state) {}

    /** What a controller holds. */
    public record Controller(Map<Integer, Entry> entries, int pressed) {}
}
