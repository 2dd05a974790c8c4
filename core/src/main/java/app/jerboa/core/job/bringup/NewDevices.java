package app.jerboa.core.job.bringup;

import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.Work;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.kit.FirmwareNeed;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.FactoryMode;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The devices of a job that are not at their planned address yet, with all that orders them. */
public final class NewDevices {
    private static final int FOUND_PREFIX = 24;

    private final Job job;
    private final Cabling cabling;
    private final Map<DeviceId, NewDevice.Progress> progress;
    private final Map<DeviceId, Set<DeviceId>> upstream;
    private final Map<DeviceId, Set<DeviceId>> clashes = new HashMap<>();

    private NewDevices(Cabling cabling, Map<DeviceId, NewDevice.Progress> progress) {
        this.job = cabling.job();
        this.cabling = cabling;
        this.progress = progress;
        this.upstream = Upstream.of(cabling);
    }

    /**
     * In the order of the lines, then of the kit.
     *
     * @param progress of those that are under way
     */
    public static List<NewDevice> of(Cabling cabling, Map<DeviceId, NewDevice.Progress> progress) {
        return new NewDevices(cabling, progress).all();
    }

    /**
     * Whether a device is brought to a planned address at all: the laptop that brings the others is
     * set by the steps themselves.
     */
    public static boolean concerned(Device d) {
        return d.addressed()
                && d.address().isPresent()
                && d.profile().kind() != DeviceKind.ROUTER
                && d.profile().sort() != Sort.LAPTOP
                && d.profile().network().filter(Network::leaseOnly).isEmpty();
    }

    private List<NewDevice> all() {
        List<Device> waiting = inOrder().stream().filter(d -> concerned(d) && !d.set()).toList();
        clashes(waiting);
        return waiting.stream().map(this::one).toList();
    }

    private List<Device> inOrder() {
        List<Device> order = new ArrayList<>();
        Set<DeviceId> taken = new HashSet<>();
        job.lines().stream()
                .map(l -> cabling.kit().device(l.camera()))
                .filter(d -> taken.add(d.id()))
                .forEach(order::add);
        job.devices().stream().filter(d -> taken.add(d.id())).forEach(order::add);
        return order;
    }

    /** Where it answers now: where it was found, else where it leaves the factory. */
    static Optional<FactoryAddress> start(Device d) {
        return d.found()
                .map(f -> new FactoryAddress(f, FOUND_PREFIX, Optional.empty()))
                .or(() -> d.profile().factory());
    }

    /**
     * A device that starts on an address planned for another must have left before that one comes.
     */
    private void clashes(List<Device> waiting) {
        Map<Ipv4, List<Device>> starting = new HashMap<>();
        for (Device d : waiting) {
            start(d).ifPresent(
                            s ->
                                    starting.computeIfAbsent(s.address(), a -> new ArrayList<>())
                                            .add(d));
        }
        for (Device planned : waiting) {
            for (Device first : starting.getOrDefault(planned.address().get(), List.of())) {
                if (!first.id().equals(planned.id())) {
                    clashes.computeIfAbsent(planned.id(), d -> new HashSet<>()).add(first.id());
                }
            }
        }
    }

    private NewDevice one(Device d) {
        Optional<FactoryAddress> start = start(d);
        boolean atHome =
                start.filter(s -> job.subnets().stream().anyMatch(h -> inside(h, s))).isPresent();
        Set<DeviceId> after = new HashSet<>(upstream.getOrDefault(d.id(), Set.of()));
        after.addAll(clashes.getOrDefault(d.id(), Set.of()));
        return new NewDevice(
                d.id(),
                start,
                atHome,
                d.address().orElseThrow(),
                d.profile().bootSeconds(),
                d.profile().network().map(NewDevices::fetchedBy).orElse(Set.of()),
                switchedPort(d),
                needs(d),
                after,
                progress.getOrDefault(d.id(), NewDevice.Progress.NONE));
    }

    private static boolean inside(Subnet house, FactoryAddress start) {
        return house.range().contains(start.address());
    }

    /** One that starts on a lease anyway needs none of it. */
    private static Set<Work> fetchedBy(Network n) {
        Set<Work> ways = EnumSet.noneOf(Work.class);
        if (n.starts() == FactoryMode.FIXED) {
            add(ways, n.leaseToggle(), Work.LEASE);
            add(ways, n.discovery(), Work.SEARCH);
            add(ways, n.pairingCode(), Work.PAIR);
        }
        return ways;
    }

    private static void add(Set<Work> ways, boolean there, Work work) {
        if (there) {
            ways.add(work);
        }
    }

    private Set<Work> needs(Device d) {
        Set<Work> needs = EnumSet.noneOf(Work.class);
        if (!d.condition().equals("new")) {
            needs.add(Work.RESET);
        }
        if (cabling.line(d.id()).flatMap(l -> FirmwareNeed.of(l, cabling.kit())).isPresent()) {
            needs.add(Work.UPDATE);
        }
        return needs;
    }

    /** It takes its power from a network switch, with a port that can be switched off and on. */
    private boolean switchedPort(Device d) {
        return cabling.at(d.id(), Signal.NETWORK)
                .filter(l -> l.run().poe())
                .map(l -> l.beyond(d.id()))
                .anyMatch(
                        p ->
                                gives(p)
                                        && d.profile()
                                                .draw()
                                                .filter(x -> x.poeClass().isPresent())
                                                .isPresent());
    }

    private static boolean gives(Link.Plug plug) {
        return plug.device().profile().sort() == Sort.POE_SWITCH;
    }
}
