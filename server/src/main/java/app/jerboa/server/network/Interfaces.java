package app.jerboa.server.network;

import app.jerboa.core.job.addresses.OwnLink;
import app.jerboa.core.net.Ipv4;
import java.net.Inet4Address;
import java.net.InterfaceAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The addresses that this machine has now, on interfaces that are up. */
@Component
class Interfaces {
    private static final Logger LOG = LoggerFactory.getLogger(Interfaces.class);

    List<OwnLink> all() {
        List<OwnLink> own = new ArrayList<>();
        try {
            for (NetworkInterface link :
                    Collections.list(NetworkInterface.getNetworkInterfaces())) {
                if (link.isUp()) {
                    link.getInterfaceAddresses().forEach(a -> add(own, link, a));
                }
            }
        } catch (SocketException e) {
            LOG.info("the interfaces of this machine could not be read: {}", e.getMessage());
        }
        return own;
    }

    private static void add(List<OwnLink> own, NetworkInterface link, InterfaceAddress a) {
        if (a.getAddress() instanceof Inet4Address ip) {
            own.add(
                    new OwnLink(
                            link.getDisplayName(),
                            Ipv4.parse(ip.getHostAddress()),
                            a.getNetworkPrefixLength(),
                            ip.isLoopbackAddress()));
        }
    }
}
