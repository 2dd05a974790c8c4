package app.jerboa.standin.lan;

import app.jerboa.core.net.FactoryAddress;
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
        Power power,
        Things things,
        Net network,
        Map<String, Ipv4> leases,
        List<Faults.Put> faults) {
    /**
     * @param at what it is plugged into; empty for wherever most of the hall is
     * @param listening since when it hears what is announced
     */
    public record Laptop(
            NetworkSettings own,
            List<NetworkSettings> also,
            Optional<DeviceId> at,
            boolean wireless,
            Instant listening) {}

    /**
     * @param supplies of their own that are on
     * @param spent watts that something else takes, by the device that gives them
     */
    public record Power(
            List<PortState> ports, List<DeviceId> supplies, Map<String, Double> spent) {}

    /** A port that somebody switched, or that died. */
    public record PortState(Port port, Port.State state) {}

    /** By the ids of the devices. */
    public record Things(
            Map<String, RigDevice.Saved> devices,
            Map<String, Controller> controllers,
            Map<String, Switcher.State> switchers) {}

    /** What a controller holds. */
    public record Controller(Map<Integer, Entry> entries, int pressed) {}

    /**
     * @param relay between the ends of a tunnel
     * @param strangers what the house has on factory addresses
     */
    public record Net(boolean relay, Duration announced, List<FactoryAddress> strangers) {}
}
