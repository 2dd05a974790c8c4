package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which runs are in which sockets; holds no job. */
final class Sockets {
    private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.RUN);

    private final List<Joint> joints;
    private final List<Link> links;
    private final Map<Run, Refusal> refused;
    private final Map<DeviceId, List<Link>> byDevice;
    private final Map<Place, Integer> used;

    private Sockets(
            List<Joint> joints,
            List<Link> links,
            Map<Run, Refusal> refused,
            Map<DeviceId, List<Link>> byDevice,
            Map<Place, Integer> used) {
        this.joints = joints;
        this.links = links;
        this.refused = refused;
        this.byDevice = byDevice;
        this.used = used;
    }

    /** One socket of one device. */
    private record Place(DeviceId device, String port, int number) {
        static Place of(Link.Plug plug) {
            return new Place(
                    plug.device().id(), plug.socket().port().name(), plug.socket().number());
        }
    }

    /** What is the same as in the job before is the very same objects. */
    static Sockets of(Job job) {
        return job.workedAfter(Sockets.class, READS, Sockets.class, before -> of(job, before));
    }

    private static Sockets of(Job job, Optional<Sockets> before) {
        List<Joint> joints = Joint.all(job, before.map(b -> b.joints).orElse(List.of()));
        return before.flatMap(b -> b.relaid(joints)).orElseGet(() -> filled(joints));
    }

    private static Sockets filled(List<Joint> joints) {
        Sockets sockets =
                new Sockets(
                        joints,
                        new ArrayList<>(joints.size()),
                        new LinkedHashMap<>(),
                        new HashMap<>(2 * joints.size()),
                        new HashMap<>(4 * joints.size()));
        joints.forEach(sockets::take);
        return sockets;
    }

    private void take(Joint joint) {
        Optional<Refusal> refusal = joint.refusal();
        if (refusal.isEmpty() && joint.link().filter(this::free).isEmpty()) {
            refusal = Optional.of(Refusal.TWICE);
        }
        if (refusal.isPresent()) {
            refused.put(joint.run(), refusal.get());
            return;
        }
        Link link = joint.link().orElseThrow();
        links.add(link);
        for (Link.Plug end : List.of(link.from(), link.to())) {
            byDevice.computeIfAbsent(end.device().id(), d -> new ArrayList<>()).add(link);
            used.merge(Place.of(end), 1, Integer::sum);
        }
    }

    private boolean free(Link link) {
        return free(link.from()) && free(link.to());
    }

    /** These joints in the same sockets; empty when any is in another or cannot be. */
    @SuppressWarnings("ReferenceEquality") // What was taken over is the very same object.
    private Optional<Sockets> relaid(List<Joint> now) {
        if (now.size() != joints.size()) {
            return Optional.empty();
        }
        Map<Link, Link> others = new HashMap<>();
        for (int i = 0; i < now.size(); i++) {
            Joint was = joints.get(i);
            if (now.get(i) != was) {
                if (refused.containsKey(was.run()) || !now.get(i).joinsAs(was)) {
                    return Optional.empty();
                }
                others.put(was.link().orElseThrow(), now.get(i).link().orElseThrow());
            }
        }
        Map<DeviceId, List<Link>> at = new HashMap<>(byDevice);
        for (Link was : others.keySet()) {
            at.computeIfPresent(was.from().device().id(), (d, all) -> replaced(all, others));
            at.computeIfPresent(was.to().device().id(), (d, all) -> replaced(all, others));
        }
        return Optional.of(new Sockets(now, replaced(links, others), refused, at, used));
    }

    private static List<Link> replaced(List<Link> links, Map<Link, Link> others) {
        List<Link> all = new ArrayList<>(links);
        all.replaceAll(l -> others.getOrDefault(l, l));
        return all;
    }

    boolean free(Link.Plug plug) {
        return used.getOrDefault(Place.of(plug), 0) < Joining.room(plug.socket());
    }

    /** Every run that can be, in their order. */
    List<Link> links() {
        return links;
    }

    /** Runs that cannot be, and why. */
    Map<Run, Refusal> refused() {
        return refused;
    }

    /** Of a device, in the order of the runs; the very same list while they are the same. */
    List<Link> at(DeviceId device) {
        return byDevice.getOrDefault(device, List.of());
    }
}
