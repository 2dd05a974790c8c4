package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Made;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which runs are in which sockets; holds no job. */
final class Sockets {
    private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.RUN);

    /** So many links are sooner looked for along the list than looked up for each of it. */
    private static final int FEW = 8;

    private final List<Device> devices;
    private final Made<Run, Joint> joints;
    private final List<Link> links;
    private final Map<Run, Refusal> refused;
    private final PerDevice<List<Link>> byDevice;
    private final Map<Place, Integer> used;
    private final Since since;

    /** Names this object without holding it: one that follows it holds no more than that. */
    private final Object name = new Object();

    private Sockets(
            List<Device> devices,
            Made<Run, Joint> joints,
            List<Link> links,
            Map<Run, Refusal> refused,
            PerDevice<List<Link>> byDevice,
            Map<Place, Integer> used,
            Since since) {
        this.devices = devices;
        this.joints = joints;
        this.links = links;
        this.refused = refused;
        this.byDevice = byDevice;
        this.used = used;
        this.since = since;
    }

    /**
     * How it differs from the one it was made of, if it was made of one.
     *
     * @param before its name
     * @param devices whose runs are others, in the same sockets
     */
    private record Since(Object before, Set<DeviceId> devices) {
        static final Since NOTHING = new Since(new Object(), Set.of());
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
        List<Device> devices = job.devices();
        Made<Run, Joint> joints =
                Joint.all(
                        job,
                        before.map(b -> b.joints),
                        before.filter(b -> b.isOf(devices)).isPresent());
        return before.flatMap(b -> b.relaid(devices, joints))
                .orElseGet(() -> filled(devices, joints));
    }

    @SuppressWarnings("ReferenceEquality") // Lists that nothing touched are the same objects.
    private boolean isOf(List<Device> others) {
        return devices == others;
    }

    private static Sockets filled(List<Device> devices, Made<Run, Joint> joints) {
        int runs = joints.to().size();
        Sockets sockets =
                new Sockets(
                        devices,
                        joints,
                        new ArrayList<>(runs),
                        new LinkedHashMap<>(),
                        PerDevice.of(devices),
                        new HashMap<>(4 * runs),
                        Since.NOTHING);
        joints.to().forEach(sockets::take);
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
            at(end.device().id(), link);
            used.merge(Place.of(end), 1, Integer::sum);
        }
    }

    private void at(DeviceId device, Link link) {
        List<Link> there = byDevice.get(device);
        if (there == null) {
            there = new ArrayList<>();
            byDevice.put(device, there);
        }
        there.add(link);
    }

    private boolean free(Link link) {
        return free(link.from()) && free(link.to());
    }

    /** These joints in the same sockets; empty when any is in another or cannot be. */
    @SuppressWarnings("ReferenceEquality") // What was taken over is the very same object.
    private Optional<Sockets> relaid(List<Device> others, Made<Run, Joint> joined) {
        List<Joint> before = joints.to();
        List<Joint> now = joined.to();
        if (now.size() != before.size()) {
            return Optional.empty();
        }
        IdentityHashMap<Link, Link> anew = new IdentityHashMap<>();
        for (int i = 0; i < now.size(); i++) {
            Joint was = before.get(i);
            if (now.get(i) != was) {
                if (refused.containsKey(was.run()) || !now.get(i).joinsAs(was)) {
                    return Optional.empty();
                }
                anew.put(was.link().orElseThrow(), now.get(i).link().orElseThrow());
            }
        }
        Set<DeviceId> ends = new HashSet<>();
        for (Link was : anew.keySet()) {
            ends.add(was.from().device().id());
            ends.add(was.to().device().id());
        }
        PerDevice<List<Link>> at = byDevice.copy();
        ends.forEach(e -> at.put(e, replaced(at.get(e), anew)));
        return Optional.of(
                new Sockets(
                        others,
                        joined,
                        replaced(links, anew),
                        refused,
                        at,
                        used,
                        new Since(name, ends)));
    }

    /**
     * @param anew by the very objects: what a link says takes long to compare
     */
    private static List<Link> replaced(List<Link> links, IdentityHashMap<Link, Link> anew) {
        List<Link> all = new ArrayList<>(links);
        if (anew.size() > FEW) {
            all.replaceAll(l -> anew.getOrDefault(l, l));
        } else {
            anew.forEach((was, now) -> replace(all, was, now));
        }
        return all;
    }

    @SuppressWarnings("ReferenceEquality") // The very objects.
    private static void replace(List<Link> all, Link was, Link now) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i) == was) {
                all.set(i, now);
                return;
            }
        }
    }

    /**
     * Devices whose runs are others than before, all of them in the same sockets as before; empty
     * where more than that may be different.
     */
    @SuppressWarnings("ReferenceEquality") // A name is one object.
    Optional<Set<DeviceId>> since(Sockets before) {
        return since.before == before.name ? Optional.of(since.devices) : Optional.empty();
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
        List<Link> there = byDevice.get(device);
        return there == null ? List.of() : there;
    }
}
