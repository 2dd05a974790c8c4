package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Signal;
import java.util.List;
import java.util.Optional;

/** Which of the links at a device feeds it. */
final class FeedingLink {
    private FeedingLink() {}

    /** A DC lead goes before the network port: what has both is fed by the lead. */
    static Optional<Link> of(Device d, List<Link> joined) {
        Optional<Link> poe = Optional.empty();
        for (Link link : joined) {
            if (link.signal() == Signal.DC && link.load().of(d.id())) {
                return Optional.of(link);
            }
            if (poe.isEmpty() && overEthernet(d, link)) {
                poe = Optional.of(link);
            }
        }
        return poe;
    }

    private static boolean overEthernet(Device d, Link link) {
        return link.signal() == Signal.NETWORK
                && d.profile().draw().isPresent()
                && link.run().poe()
                && link.run().cable().powers()
                && PowerPlan.gives(link.beyond(d.id()))
                && !PowerPlan.gives(link.at(d.id()))
                && (asks(d) || passive(link.beyond(d.id())));
    }

    private static boolean asks(Device d) {
        return d.profile()
                .draw()
                .filter(x -> x.poeClass().isPresent() && !x.splitter())
                .isPresent();
    }

    private static boolean passive(Link.Plug plug) {
        return plug.device().profile().gives().filter(PowerSource::passive).isPresent();
    }
}
