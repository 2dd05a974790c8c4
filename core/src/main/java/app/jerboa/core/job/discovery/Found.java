package app.jerboa.core.job.discovery;

import app.jerboa.core.net.Ipv4;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What answered at one address.
 *
 * @param macs of those that have it, in lower case; empty where the network does not tell, two when
 *     two devices fight over it
 * @param services that took a connection or answered a probe there
 * @param told what it says of itself to a probe
 */
public record Found(
        Ipv4 address, SortedSet<String> macs, Set<Service> services, Optional<SelfPortrait> told) {
    /** What a device can be asked for without signing in. */
    public enum Service {
        WEB,
        RTSP,
        /** WS-Discovery. */
        PROBE
    }

    /**
     * A device of itself, by the scopes of its answer to a probe (WS-Discovery); each may be blank.
     *
     * @param hardware its model
     */
    public record SelfPortrait(String name, String hardware, String serialNumber) {}

    public Found {
        macs = java.util.Collections.unmodifiableSortedSet(new TreeSet<>(macs));
        services = Set.copyOf(services);
    }

    /** Two devices have this address. */
    public boolean fought() {
        return macs.size() > 1;
    }

    boolean hasMac(String mac) {
        return !mac.isEmpty() && macs.contains(mac);
    }
}
