package app.jerboa.server.network;

import app.jerboa.core.job.addresses.OwnLink;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.world.Heard;
import app.jerboa.wire.link.discovery.Prober;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.URI;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Probes all that hear the group on one interface of this machine. */
final class GroupProbe {
    private static final Logger LOG = LoggerFactory.getLogger(GroupProbe.class);

    private GroupProbe() {}

    /** An interface that does not let a group out is no reason to leave out the others. */
    static List<Heard> by(OwnLink own) {
        try {
            InetAddress from = InetAddress.getByName(own.address().toString());
            NetworkInterface link = NetworkInterface.getByInetAddress(from);
            // It may have gone since it was listed: a lead pulled, a lease given back.
            List<Prober.Heard> all =
                    link == null ? List.of() : Prober.askAll(link, from, Prober.PATIENCE_MILLIS);
            return all.stream().flatMap(h -> heard(h).stream()).toList();
        } catch (IOException e) {
            LOG.info("nobody could be probed by {}: {}", own.link(), e.getMessage());
            return List.of();
        }
    }

    /** One that answered by IPv6 says its IPv4 address among its services. */
    private static Optional<Heard> heard(Prober.Heard h) {
        return ipv4(h.from().getHostAddress())
                .or(
                        () ->
                                h.match().services().stream()
                                        .flatMap(s -> host(s).stream())
                                        .flatMap(s -> ipv4(s).stream())
                                        .findFirst())
                .map(a -> new Heard(a, h.match()));
    }

    private static Optional<String> host(String url) {
        try {
            return Optional.ofNullable(URI.create(url).getHost());
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static Optional<Ipv4> ipv4(String text) {
        try {
            return Optional.of(Ipv4.parse(text));
        } catch (TextRejected e) {
            return Optional.empty();
        }
    }
}
