package app.jerboa.core.job.cabling.seen;

import app.jerboa.core.value.DeviceId;
import java.util.List;

/** What one network switch said of its ports. */
public record SwitchSeen(DeviceId networkSwitch, List<SeenPort> ports) {
    public SwitchSeen {
        ports = List.copyOf(ports);
    }

    /**
     * One port.
     *
     * @param name as its profile names the socket
     * @param up its link is there
     * @param heard MAC addresses behind it, lower case with colons
     * @param neighbour another network switch announced itself there (IEEE 802.1AB)
     */
    public record SeenPort(
            String name, boolean up, List<String> heard, boolean neighbour, PortTold told) {
        public SeenPort {
            heard = List.copyOf(heard);
        }

        /** Somebody else's network hangs there: who is heard may be anywhere behind it. */
        public boolean uplink() {
            return neighbour || heard.size() > 1;
        }
    }
}
