package app.jerboa.standin.lan;

import app.jerboa.core.job.Subnet;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.device.NetworkSettings;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The technician's laptop: its addresses, where it is plugged, and whom it takes them to be. */
final class Laptop {
    private final Announcements table = new Announcements();
    private NetworkSettings own;
    private List<NetworkSettings> also = List.of();
    private Optional<DeviceId> at = Optional.empty();
    private boolean wireless;
    private Instant listening;

    Laptop(Subnet home, Instant now) {
        this.own = atHome(home);
        this.listening = now;
    }

    private static NetworkSettings atHome(Subnet home) {
        return new NetworkSettings(home.laptopHome(), home.range().prefix(), "");
    }

    NetworkSettings own() {
        return own;
    }

    List<NetworkSettings> also() {
        return also;
    }

    /** What it is plugged into; empty for wherever most of the hall is. */
    Optional<DeviceId> at() {
        return at;
    }

    /** A new address takes the place of all it had. */
    void move(NetworkSettings next, Instant now) {
        own = next;
        also = List.of();
        listening = now;
    }

    void add(NetworkSettings more) {
        also = Stream.concat(also.stream(), Stream.of(more)).distinct().toList();
    }

    void plug(Optional<DeviceId> where, Instant now) {
        at = where;
        listening = now;
    }

    void wireless(boolean on) {
        wireless = on;
    }

    /** The address from which it asks another one; with its wireless on it has the house's too. */
    Optional<NetworkSettings> near(Ipv4 address, Subnet home) {
        Stream<NetworkSettings> wired = Stream.concat(Stream.of(own), also.stream());
        Stream<NetworkSettings> air = wireless ? Stream.of(atHome(home)) : Stream.empty();
        return Stream.concat(wired, air).filter(n -> n.onLink(address)).findFirst();
    }

    Optional<RigDevice> holder(
            Ipv4 address, List<RigDevice> answering, Instant now, Duration announced) {
        return table.holder(address, answering, now, announced, listening);
    }

    void forget() {
        table.forget();
    }

    HallState.Laptop saved() {
        return new HallState.Laptop(own, also, at, wireless, listening);
    }

    void restore(HallState.Laptop saved) {
        own = saved.own();
        also = saved.also();
        at = saved.at();
        wireless = saved.wireless();
        listening = saved.listening();
        forget();
    }
}
