package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Run;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.SignalFlow;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The runs of a job by the sockets they join, each looked at once. */
public final class Cabling {
    private final Job job;
    private final KitIndex kit;
    private final List<Link> links = new ArrayList<>();
    private final Map<Run, Refusal> refused = new LinkedHashMap<>();
    private final Map<DeviceId, List<Link>> byDevice = new HashMap<>();
    private final Map<DeviceId, Line> lines = new HashMap<>();
    private final Map<Place, Integer> used = new HashMap<>();

    private Cabling(Job job) {
        this.job = job;
        this.kit = KitIndex.of(job);
    }

    public static Cabling of(Job job) {
        return job.worked(Cabling.class, () -> joined(job));
    }

    private static Cabling joined(Job job) {
        Cabling cabling = new Cabling(job);
        job.lines().forEach(l -> cabling.lines.putIfAbsent(l.camera(), l));
        job.runs().forEach(cabling::take);
        return cabling;
    }

    private void take(Run run) {
        Optional<Link> link =
                Link.of(run, kit.device(run.from().device()), kit.device(run.to().device()));
        Optional<Refusal> refusal = link.map(this::refusal).orElse(Optional.of(Refusal.NO_PORT));
        if (refusal.isPresent()) {
            refused.put(run, refusal.get());
            return;
        }
        links.add(link.get());
        for (Link.Plug end : List.of(link.get().from(), link.get().to())) {
            byDevice.computeIfAbsent(end.device().id(), d -> new ArrayList<>()).add(link.get());
            used.merge(Place.of(end), 1, Integer::sum);
        }
    }

    private Optional<Refusal> refusal(Link link) {
        Link.Plug a = link.from();
        Link.Plug b = link.to();
        if (a.device().id().equals(b.device().id()) && a.socket().equals(b.socket())) {
            return Optional.of(Refusal.SELF);
        }
        Optional<Refusal> sockets = Joining.refusal(a.socket(), b.socket(), link.run().cable());
        return sockets.isEmpty() && !(free(a) && free(b)) ? Optional.of(Refusal.TWICE) : sockets;
    }

    /** One socket of one device. */
    private record Place(DeviceId device, String port, int number) {
        static Place of(Link.Plug plug) {
            return new Place(
                    plug.device().id(), plug.socket().port().name(), plug.socket().number());
        }
    }

    public boolean free(Link.Plug plug) {
        return used.getOrDefault(Place.of(plug), 0) < Joining.room(plug.socket());
    }

    public Job job() {
        return job;
    }

    public KitIndex kit() {
        return kit;
    }

    public Optional<Line> line(DeviceId camera) {
        return Optional.ofNullable(lines.get(camera));
    }

    /** Every run that can be, in their order. */
    public List<Link> links() {
        return links;
    }

    /** Runs that cannot be, and why. */
    public Map<Run, Refusal> refused() {
        return refused;
    }

    /** Of a device, in the order of the runs. */
    public List<Link> at(DeviceId device) {
        return byDevice.getOrDefault(device, List.of());
    }

    public Stream<Link> at(DeviceId device, Signal signal) {
        return at(device).stream().filter(l -> l.signal() == signal);
    }

    /** Those of a signal that come into a device. */
    public Stream<Link> into(DeviceId device, Signal signal) {
        return at(device, signal).filter(l -> l.load().of(device) && directed(l));
    }

    /** Those of a signal that go out of a device. */
    public Stream<Link> outOf(DeviceId device, Signal signal) {
        return at(device, signal).filter(l -> l.source().of(device) && directed(l));
    }

    private static boolean directed(Link link) {
        return link.source().socket().join().flow() != SignalFlow.BOTH
                || link.load().socket().join().flow() != SignalFlow.BOTH;
    }

    /** Sockets that still have room, in the order of the profile. */
    public Stream<Link.Plug> free(DeviceId device) {
        var d = kit.device(device);
        return DeviceSocket.of(d.profile()).stream()
                .map(s -> new Link.Plug(d, s))
                .filter(this::free);
    }
}
