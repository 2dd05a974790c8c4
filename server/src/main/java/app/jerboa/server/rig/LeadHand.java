package app.jerboa.server.rig;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.desk.LeadMove;
import java.util.Optional;

/**
 * A lead's end that a hand of the rig takes to another socket.
 *
 * @param run the lead's
 */
record LeadHand(long run, RigBodies.End to) {
    /** Onto the serial server; empty where nothing must be moved. */
    static Optional<LeadHand> out(Job job, Device camera) {
        return move(job, camera)
                .flatMap(
                        m ->
                                m.socket()
                                        .map(
                                                s ->
                                                        new LeadHand(
                                                                m.lead().run().id(),
                                                                new RigBodies.End(
                                                                        m.near(),
                                                                        Optional.of(
                                                                                s.device()
                                                                                        .id()
                                                                                        .toString()),
                                                                        s.socket().name()))));
    }

    /** Back where it is planned. */
    static Optional<LeadHand> home(Job job, Device camera) {
        return move(job, camera)
                .map(
                        m ->
                                new LeadHand(
                                        m.lead().run().id(),
                                        new RigBodies.End(m.near(), Optional.empty(), "")));
    }

    private static Optional<LeadMove> move(Job job, Device camera) {
        return LeadMove.of(DeskWays.of(job).told(camera));
    }
}
