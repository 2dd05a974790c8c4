package app.jerboa.core.job.desk;

import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceSocket;
import java.util.Optional;

/**
 * The end of a serial lead that must go elsewhere, so that the desk reaches what hangs on it.
 *
 * @param near it is the end that the run names first
 * @param to where it goes meanwhile
 * @param socket of the serial server there; empty for a port of this machine
 */
public record LeadMove(Link lead, boolean near, DeskEnd to, Optional<Link.Plug> socket) {
    /** Empty where nothing must be moved, or the server has no socket for it. */
    public static Optional<LeadMove> of(DeskWay way) {
        return way instanceof DeskWay.OverLine it
                ? it.moved().flatMap(lead -> of(lead, it))
                : Optional.empty();
    }

    private static Optional<LeadMove> of(Link lead, DeskWay.OverLine way) {
        boolean near = lead.from().of(way.line().stations().get(0).id());
        Optional<Link.Plug> socket =
                way.from()
                        .device()
                        .flatMap(
                                server ->
                                        DeviceSocket.of(server.profile()).stream()
                                                .filter(s -> s.signal() == lead.signal())
                                                .findFirst()
                                                .map(s -> new Link.Plug(server, s)));
        return way.from().device().isPresent() && socket.isEmpty()
                ? Optional.empty()
                : Optional.of(new LeadMove(lead, near, way.from(), socket));
    }

    /** Where that end goes by the plan. */
    public Link.Plug planned() {
        return near ? lead.from() : lead.to();
    }

    /** Where it goes meanwhile, in words. */
    public String meanwhile() {
        return socket.map(Link.Plug::toString).orElseGet(to::name);
    }
}
