package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Run;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.SignalFlow;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The runs of a job by the sockets they join, each looked at once. */
public final class Cabling {
    private final Job job;
    private final KitIndex kit;
    private final Sockets sockets;
    private final Map<DeviceId, Line> lines = new HashMap<>();

    private Cabling(Job job) {
        this.job = job;
        kit = KitIndex.of(job);
        sockets = Sockets.of(job);
        job.lines().forEach(l -> lines.putIfAbsent(l.camera(), l));
    }

    public static Cabling of(Job job) {
        return job.worked(Cabling.class, () -> new Cabling(job));
    }

    public boolean free(Link.Plug plug) {
        return sockets.free(plug);
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
        return sockets.links();
    }

    /** Runs that cannot be, and why. */
    public Map<Run, Refusal> refused() {
        return sockets.refused();
    }

    /** Of a device, in the order of the runs; the very same list while they are the same. */
    public List<Link> at(DeviceId device) {
        return sockets.at(device);
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
