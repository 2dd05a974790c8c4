package app.jerboa.server.rig;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.profile.DeviceSocket;
import java.util.Optional;

/**
 * The end of a lead that goes to the serial server, so that the desk reaches what hangs on it.
 *
 * @param run the lead's
 */
record LeadMove(long run, RigBodies.End to) {
    /** Empty where nothing must be moved. */
    static Optional<LeadMove> of(Job job, Device camera) {
        return DeskWays.of(job).told(camera) instanceof DeskWay.OverLine it
                ? it.moved().flatMap(link -> onto(it.server(), link, it))
                : Optional.empty();
    }

    private static Optional<LeadMove> onto(Device server, Link link, DeskWay.OverLine way) {
        boolean near = link.from().of(way.line().stations().get(0).id());
        return DeviceSocket.of(server.profile()).stream()
                .filter(s -> s.signal() == link.signal())
                .findFirst()
                .map(
                        s ->
                                new LeadMove(
                                        link.run().id(),
                                        new RigBodies.End(
                                                near,
                                                Optional.of(server.id().toString()),
                                                s.name())));
    }
}
