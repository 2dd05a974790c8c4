package app.jerboa.standin.lan;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;

/**
 * What a device or the laptop believes of the network.
 *
 * @param gateway empty text for none
 */
public record NetworkSettings(Ipv4 address, int prefix, String gateway) {
    /** Of a device without a network, or whom nobody lent an address. */
    public static final NetworkSettings NONE = new NetworkSettings(new Ipv4(0), 30, "");

    public boolean onLink(Ipv4 other) {
        return Ipv4Subnet.of(address, prefix).contains(other);
    }
}
