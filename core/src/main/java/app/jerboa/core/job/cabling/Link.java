package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.SignalFlow;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A run that can be: both its sockets are there and can be joined. */
public record Link(Run run, Plug from, Plug to) {

    /** A socket of a device of the job. */
    public record Plug(Device device, DeviceSocket socket) {
        public boolean of(DeviceId id) {
            return device.id().equals(id);
        }

        @Override
        public String toString() {
            return device.name() + " " + socket.name();
        }
    }

    /** A run has one link; going through the profiles of both devices would say no more. */
    @Override
    public int hashCode() {
        return Long.hashCode(run.id());
    }

    /** The same sockets of the same devices. */
    boolean joinsAs(Link other) {
        return from.equals(other.from) && to.equals(other.to);
    }

    public Signal signal() {
        return from.socket().signal();
    }

    /** The end at a device. */
    public Plug at(DeviceId id) {
        return from.of(id) ? from : to;
    }

    /** The end away from a device. */
    public Plug beyond(DeviceId id) {
        return from.of(id) ? to : from;
    }

    /** The end that gives, by its socket; of two that do both, the start of the run. */
    public Plug source() {
        return backwards() ? to : from;
    }

    public Plug load() {
        return backwards() ? from : to;
    }

    private boolean backwards() {
        return to.socket().join().flow() == SignalFlow.OUT
                || from.socket().join().flow() == SignalFlow.IN;
    }

    /** Lengths that the leads of either end come in, in metres. */
    public List<Double> leadLengths() {
        return Stream.of(from, to)
                .flatMap(e -> e.device().profile().leadMetres().stream())
                .distinct()
                .toList();
    }

    static Optional<Link> of(Run run, Device from, Device to) {
        Optional<DeviceSocket> a = DeviceSocket.find(from.profile(), run.from().port());
        Optional<DeviceSocket> b = DeviceSocket.find(to.profile(), run.to().port());
        return a.isPresent() && b.isPresent()
                ? Optional.of(new Link(run, new Plug(from, a.get()), new Plug(to, b.get())))
                : Optional.empty();
    }
}
