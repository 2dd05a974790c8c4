package app.jerboa.standin.lan;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.device.NetworkSettings;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Who hears whom in a hall just now, over leads that carry and through what passes on. */
final class Network {
    private static final Duration LOOKED_AGAIN = Duration.ofMillis(100);

    private final Furniture furniture;
    private final Supplies supplies;
    private final Patch patch;
    private final List<RigDevice> strangers = new ArrayList<>();
    private Duration announced = Hall.ANNOUNCED_EVERY;
    private boolean relay = true;
    private Optional<Segments> looked = Optional.empty();

    Network(Furniture furniture, Supplies supplies, Patch patch) {
        this.furniture = furniture;
        this.supplies = supplies;
        this.patch = patch;
    }

    void relay(boolean on) {
        relay = on;
    }

    void announce(Duration every) {
        announced = every;
    }

    Duration announced() {
        return announced;
    }

    List<RigDevice> strangers() {
        return strangers;
    }

    /** Something was done: what was worked out before is nothing now. */
    void changed() {
        looked = Optional.empty();
    }

    /**
     * Who is joined to whom. Each datagram asks; it is worked out anew when something was done, and
     * else ten times a second of the world's time, since boots end and switches open by themselves.
     */
    Segments segments(Instant now) {
        boolean known =
                looked.filter(s -> !now.isBefore(s.asOf()))
                        .filter(s -> now.isBefore(s.asOf().plus(LOOKED_AGAIN)))
                        .isPresent();
        if (!known) {
            looked = Optional.of(new Segments(patch, furniture::at, supplies::port, relay, now));
        }
        return looked.get();
    }

    /**
     * Those that hold an address, are up, and have the asker on their own subnet.
     *
     * @param reached by the asker's frames
     */
    List<RigDevice> answering(Ipv4 address, NetworkSettings from, Set<DeviceId> reached) {
        Stream<RigDevice> here =
                furniture.all().stream().filter(d -> reached.contains(d.plan().id()));
        return Stream.concat(here, strangers.stream())
                .filter(d -> d.settings().address().equals(address))
                .filter(d -> d.settings().onLink(from.address()))
                .filter(d -> d.phase() == RigDevice.Phase.UP)
                .toList();
    }

    /** Whom a device of the hall reaches there; it asks anew each time. */
    Optional<RigDevice> holderFor(RigDevice sender, Ipv4 address, Instant now) {
        NetworkSettings own = sender.settings();
        if (!own.onLink(address)) {
            return Optional.empty();
        }
        Set<DeviceId> reached = segments(now).from(sender.plan().id());
        List<RigDevice> all = answering(address, own, reached);
        return new Announcements().holder(address, all, now, announced, Instant.EPOCH);
    }

    void clear() {
        strangers.clear();
        changed();
    }

    HallState.Net saved() {
        List<FactoryAddress> held =
                strangers.stream()
                        .map(RigDevice::settings)
                        .map(n -> new FactoryAddress(n.address(), n.prefix(), Optional.empty()))
                        .toList();
        return new HallState.Net(relay, announced, held);
    }

    /** But for its strangers, who come back by hand. */
    void restore(HallState.Net saved) {
        clear();
        relay = saved.relay();
        announced = saved.announced();
    }
}
