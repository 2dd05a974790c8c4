package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Gathered;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Devices joined by serial leads: a chain from OUT to IN, or a bus.
 *
 * @param stations in the order of the leads, the one that drives first where there is one
 * @param links between them, in the same order
 * @param straight each station has at most one lead on each side
 */
public record ChainOrBus(Signal signal, List<Device> stations, List<Link> links, boolean straight) {
    public ChainOrBus {
        stations = List.copyOf(stations);
        links = List.copyOf(links);
    }

    private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.RUN);

    /** Of each link itself where it is a serial one, else empty: they stand while those do. */
    private record All(Gathered<Link, Optional<Link>, List<ChainOrBus>> serial) {}

    /** Every chain and bus, in the order of their first runs. */
    public static List<ChainOrBus> all(Cabling cabling) {
        return cabling.job()
                .workedAfter(All.class, READS, All.class, before -> all(cabling, before))
                .serial()
                .all();
    }

    private static All all(Cabling cabling, Optional<All> before) {
        return new All(
                Gathered.kept(
                        cabling.links(),
                        before.map(All::serial),
                        (l, instead) -> Optional.of(l).filter(s -> s.signal().serial()),
                        serial -> walked(serial.stream().flatMap(Optional::stream).toList())));
    }

    private static List<ChainOrBus> walked(List<Link> serial) {
        List<ChainOrBus> lines = new ArrayList<>();
        for (Signal signal : List.of(Signal.RS_232, Signal.RS_422, Signal.RS_485)) {
            Map<DeviceId, List<Link>> at = new HashMap<>();
            List<Device> order = new ArrayList<>();
            for (Link link : serial) {
                if (link.signal() == signal) {
                    for (Link.Plug end : List.of(link.source(), link.load())) {
                        at.computeIfAbsent(
                                        end.device().id(),
                                        d -> {
                                            order.add(end.device());
                                            return new ArrayList<>();
                                        })
                                .add(link);
                    }
                }
            }
            Set<DeviceId> seen = new HashSet<>();
            for (Device d : order) {
                if (!seen.contains(d.id())) {
                    lines.add(walk(signal, start(d, at), at, seen));
                }
            }
        }
        return lines;
    }

    /** The end of the piece that drives, else any end, else where it was found. */
    private static Device start(Device found, Map<DeviceId, List<Link>> at) {
        List<Device> piece = reach(found, at);
        List<Device> ends = piece.stream().filter(d -> at.get(d.id()).size() == 1).toList();
        return ends.stream()
                .filter(d -> d.profile().kind() != DeviceKind.CAMERA)
                .findFirst()
                .or(() -> ends.stream().filter(d -> begins(at.get(d.id()).get(0), d)).findFirst())
                .or(() -> ends.stream().findFirst())
                .orElse(found);
    }

    private static boolean begins(Link link, Device d) {
        return link.source().of(d.id()) && link.source().socket().join() == Join.RS_232_OUT;
    }

    private static List<Device> reach(Device from, Map<DeviceId, List<Link>> at) {
        Set<DeviceId> seen = new HashSet<>(Set.of(from.id()));
        List<Device> all = new ArrayList<>(List.of(from));
        for (int i = 0; i < all.size(); i++) {
            Device d = all.get(i);
            for (Link link : at.get(d.id())) {
                Device next = link.beyond(d.id()).device();
                if (seen.add(next.id())) {
                    all.add(next);
                }
            }
        }
        return all;
    }

    private static ChainOrBus walk(
            Signal signal, Device start, Map<DeviceId, List<Link>> at, Set<DeviceId> seen) {
        List<Device> stations = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        Set<Link> walked = new HashSet<>();
        boolean straight = true;
        Deque<Device> next = new ArrayDeque<>(List.of(start));
        seen.add(start.id());
        while (!next.isEmpty()) {
            Device d = next.removeFirst();
            stations.add(d);
            straight &= at.get(d.id()).size() <= 2;
            for (Link link : at.get(d.id())) {
                if (walked.add(link)) {
                    links.add(link);
                    Device other = link.beyond(d.id()).device();
                    if (seen.add(other.id())) {
                        next.addLast(other);
                    }
                }
            }
        }
        return new ChainOrBus(signal, stations, links, straight && links.size() < stations.size());
    }

    /** It is the very same lead, whatever else of its cameras was changed. */
    public boolean isLeadOf(ChainOrBus that) {
        return cameraIds().equals(that.cameraIds());
    }

    /** By these it is known from one version of a job to the next. */
    public Set<DeviceId> cameraIds() {
        return cameras().stream().map(Device::id).collect(Collectors.toSet());
    }

    public List<Device> cameras() {
        return stations.stream().filter(d -> d.profile().kind() == DeviceKind.CAMERA).toList();
    }

    /** What sends on it: the first that is no camera. */
    public Optional<Device> driver() {
        return stations.stream().filter(d -> d.profile().kind() != DeviceKind.CAMERA).findFirst();
    }

    /** Of all its leads. */
    public double metres() {
        return links.stream().mapToDouble(l -> l.run().metres()).sum();
    }
}
