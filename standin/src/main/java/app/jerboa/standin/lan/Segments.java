package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/** Who is on the network with whom at one moment, by links that carry and by air. */
final class Segments {
    /** A managed switch listens so long for loops before it lets anything through (IEEE 802.1D). */
    static final Duration SPANNING_TREE = Duration.ofSeconds(30);

    private static final int USUAL_CHANGE_OVER = 10;

    private final Cabling plugged;
    private final Cabling planned;
    private final Function<DeviceId, RigDevice> devices;
    private final Function<Link, Lead> leads;
    private final Predicate<Port> ports;
    private final Instant now;
    private final boolean relay;
    private final Reaching reaching;

    /** The same without tunnels. */
    private final Reaching near;

    private final Set<DeviceId> wired = new HashSet<>();
    private final Map<Optional<DeviceId>, Set<DeviceId>> laptops = new HashMap<>();
    private final Map<Optional<DeviceId>, Set<DeviceId>> nearLaptops = new HashMap<>();

    /**
     * @param relay the one between the tunnels' ends is up
     */
    Segments(
            Patch patch,
            Function<DeviceId, RigDevice> devices,
            Predicate<Port> ports,
            boolean relay,
            Instant now) {
        this.plugged = patch.plugged();
        this.planned = patch.planned();
        this.devices = devices;
        this.leads = l -> patch.lead(l.run().id());
        this.ports = ports;
        this.relay = relay;
        this.now = now;
        Set<DeviceId> passing = new HashSet<>();
        all().stream().filter(this::passes).forEach(d -> passing.add(d.id()));
        this.reaching = new Reaching(passing);
        this.near = new Reaching(passing);
        cables();
        tunnels();
        air();
    }

    Instant asOf() {
        return now;
    }

    private List<Device> all() {
        return plugged.job().devices();
    }

    /** It hands on what is not for it, and is up. */
    private boolean passes(Device d) {
        Profile p = d.profile();
        boolean kind =
                p.kind() == DeviceKind.NETWORK_SWITCH
                        || p.kind() == DeviceKind.ROUTER
                        || p.sort() == Sort.WIRELESS_POINT
                        || p.sort() == Sort.TUNNEL_BOX
                        || p.kind() == DeviceKind.ACCESSORY;
        return kind && up(d);
    }

    private boolean up(Device d) {
        return devices.apply(d.id()).phase() == RigDevice.Phase.UP;
    }

    /** An adapter's network is its camera's. */
    static DeviceId owner(Device d) {
        return d.profile().networked() ? d.id() : d.fitted().orElse(d.id());
    }

    private void cables() {
        for (Link link : plugged.links()) {
            if (link.signal() == Signal.NETWORK && carries(link)) {
                DeviceId from = owner(link.from().device());
                DeviceId to = owner(link.to().device());
                join(from, to);
                wired.add(from);
                wired.add(to);
            }
        }
    }

    private void join(DeviceId one, DeviceId other) {
        reaching.join(one, other);
        near.join(one, other);
    }

    /** Its lights are on, and whatever listens for loops has done so. */
    boolean carries(Link link) {
        return lit(link) && !now.isBefore(openAt(link));
    }

    /** Both ends have power, both ports are on, and the lead is sound. */
    boolean lit(Link link) {
        return TrueFault.of(link, leads.apply(link)).isEmpty()
                && ports.test(Port.of(link.from()))
                && ports.test(Port.of(link.to()))
                && devices.apply(link.from().device().id()).powered()
                && devices.apply(link.to().device().id()).powered();
    }

    private Instant openAt(Link link) {
        Instant since = leads.apply(link).since();
        boolean managed = false;
        for (Link.Plug end : List.of(link.from(), link.to())) {
            RigDevice d = devices.apply(end.device().id());
            Instant came = d.poweredAt().orElse(since);
            since = came.isAfter(since) ? came : since;
            managed |= d.profile().answers(Protocol.SNMP).isPresent();
        }
        return managed ? since.plus(SPANNING_TREE) : since;
    }

    /** The two ends of a tunnel are one piece while the relay between them is up. */
    private void tunnels() {
        List<Device> ends =
                all().stream().filter(d -> d.profile().sort() == Sort.TUNNEL_BOX && up(d)).toList();
        for (int i = 1; relay && i < ends.size(); i++) {
            reaching.join(ends.get(0).id(), ends.get(i).id());
        }
    }

    private void air() {
        Optional<Device> point =
                all().stream()
                        .filter(d -> d.profile().sort() == Sort.WIRELESS_POINT && up(d))
                        .findFirst()
                        .or(() -> all().stream().filter(this::wirelessRouter).findFirst());
        point.ifPresent(
                p ->
                        all().stream()
                                .filter(d -> !d.id().equals(p.id()) && byAir(d))
                                .forEach(d -> join(p.id(), d.id())));
    }

    private boolean wirelessRouter(Device d) {
        return d.profile().kind() == DeviceKind.ROUTER && medium(d) == Medium.EITHER && up(d);
    }

    private static Medium medium(Device d) {
        return d.profile().network().map(Network::medium).orElse(Medium.WIRED);
    }

    /** One that has both falls back when its wire is gone, which takes its seconds. */
    private boolean byAir(Device d) {
        if (medium(d) == Medium.WIRELESS) {
            return true;
        }
        if (medium(d) != Medium.EITHER || wired.contains(d.id()) || laptop(d) || !hung(d)) {
            return false;
        }
        int seconds =
                d.profile()
                        .network()
                        .map(n -> n.changeOverSeconds().orElse(USUAL_CHANGE_OVER))
                        .orElse(0);
        Instant lost =
                planned.at(d.id(), Signal.NETWORK)
                        .map(l -> leads.apply(l).since())
                        .max(Instant::compareTo)
                        .orElse(Instant.EPOCH);
        return !now.isBefore(lost.plusSeconds(seconds));
    }

    private boolean hung(Device d) {
        return planned.at(d.id(), Signal.NETWORK).findAny().isPresent();
    }

    private static boolean laptop(Device d) {
        return d.profile().sort() == Sort.LAPTOP;
    }

    /** No run is planned for it: a lead of the van joins it to wherever the laptop is. */
    private boolean loose(Device d) {
        return d.profile().networked()
                && medium(d) != Medium.WIRELESS
                && planned.kit().fitted(d.id()).stream().noneMatch(f -> hung(f))
                && !hung(d);
    }

    /**
     * All that the laptop reaches.
     *
     * @param at what it is plugged into; empty for wherever most of the hall is
     */
    Set<DeviceId> fromLaptop(Optional<DeviceId> at) {
        return laptops.computeIfAbsent(at, a -> laptopAt(a, reaching));
    }

    /**
     * The laptop reaches it, and only through a tunnel.
     *
     * @param at as for {@link #fromLaptop}
     */
    boolean beyondTunnel(Optional<DeviceId> at, DeviceId device) {
        return fromLaptop(at).contains(device)
                && !nearLaptops.computeIfAbsent(at, a -> laptopAt(a, near)).contains(device);
    }

    private Set<DeviceId> laptopAt(Optional<DeviceId> at, Reaching over) {
        Set<DeviceId> piece =
                new HashSet<>(
                        at.map(over::from)
                                .orElseGet(
                                        () ->
                                                over.largest(
                                                        all().stream().map(Device::id).toList())));
        all().stream().filter(this::loose).forEach(d -> piece.add(d.id()));
        return Collections.unmodifiableSet(piece);
    }

    /** All that a device reaches over its own leads. */
    Set<DeviceId> from(DeviceId device) {
        Set<DeviceId> piece = reaching.from(device);
        Optional<Device> own = Optional.ofNullable(plugged.kit().device(device));
        if (own.filter(this::loose).isPresent()) {
            Set<DeviceId> all = new HashSet<>(fromLaptop(Optional.empty()));
            all.add(device);
            return all;
        }
        Set<DeviceId> laptops = fromLaptop(Optional.empty());
        if (piece.size() > 1 && laptops.containsAll(piece)) {
            return laptops;
        }
        return piece;
    }

    /** All that is reached over a link, away from one of its ends. */
    Set<DeviceId> behind(Link link, DeviceId from) {
        return reaching.behind(owner(link.beyond(from).device()), from);
    }
}
