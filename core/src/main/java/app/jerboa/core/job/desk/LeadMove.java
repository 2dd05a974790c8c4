package app.jerboa.core.job.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceSocket;
import java.util.Optional;

/**
 * The end of a serial lead that must go to the serial server, so that the desk reaches what hangs
 * on it.
 *
 * @param near it is the end that the run names first
 * @param socket of the server
 */
public record LeadMove(Link lead, boolean near, Device server, DeviceSocket socket) {
    /** Empty where nothing must be moved, or the server has no socket for it. */
    public static Optional<LeadMove> of(DeskWay way) {
        return way instanceof DeskWay.OverLine it
                ? it.moved().flatMap(lead -> of(lead, it))
                : Optional.empty();
    }

    private static Optional<LeadMove> of(Link lead, DeskWay.OverLine way) {
        boolean near = lead.from().of(way.line().stations().get(0).id());
        return DeviceSocket.of(way.server().profile()).stream()
                .filter(s -> s.signal() == lead.signal())
                .findFirst()
                .map(s -> new LeadMove(lead, near, way.server(), s));
    }

    /** Where that end goes by the plan. */
    public Link.Plug planned() {
        return near ? lead.from() : lead.to();
    }

    /** Where it goes meanwhile. */
    public Link.Plug meanwhile() {
        return new Link.Plug(server, socket);
    }
}
