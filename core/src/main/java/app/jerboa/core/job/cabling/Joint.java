package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Run;
import app.jerboa.core.value.Made;
import java.util.Optional;

/**
 * A run by itself, whatever else is in its sockets.
 *
 * @param link empty where a socket it names is not there
 * @param refusal why its sockets cannot be joined, if they cannot
 */
record Joint(Run run, Device from, Device to, Optional<Link> link, Optional<Refusal> refusal) {
    /**
     * One for each run of a job, in their order.
     *
     * @param before of the job before it: taken over where neither the run nor its devices are
     *     others
     * @param sameKit the devices are those of the job before it
     */
    static Made<Run, Joint> all(Job job, Optional<Made<Run, Joint>> before, boolean sameKit) {
        KitIndex kit = KitIndex.of(job);
        return sameKit
                ? Made.kept(job.runs(), before, (run, instead) -> of(run, kit))
                : Made.of(
                        job.runs(),
                        before,
                        (run, was) -> was != null && was.isBetween(kit) ? was : of(run, kit));
    }

    @SuppressWarnings("ReferenceEquality") // To compare what they hold takes longer than a joint.
    private boolean isBetween(KitIndex kit) {
        return from == kit.device(run.from().device()) && to == kit.device(run.to().device());
    }

    /** Of the same devices and sockets, and both can be. */
    boolean joinsAs(Joint other) {
        return refusal.isEmpty()
                && other.refusal.isEmpty()
                && link.orElseThrow().joinsAs(other.link.orElseThrow());
    }

    private static Joint of(Run run, KitIndex kit) {
        Device from = kit.device(run.from().device());
        Device to = kit.device(run.to().device());
        Optional<Link> link = Link.of(run, from, to);
        return new Joint(
                run, from, to, link, link.map(Joint::refusal).orElse(Optional.of(Refusal.NO_PORT)));
    }

    private static Optional<Refusal> refusal(Link link) {
        Link.Plug a = link.from();
        Link.Plug b = link.to();
        return a.device().id().equals(b.device().id()) && a.socket().equals(b.socket())
                ? Optional.of(Refusal.SELF)
                : Joining.refusal(a.socket(), b.socket(), link.run().cable());
    }
}
