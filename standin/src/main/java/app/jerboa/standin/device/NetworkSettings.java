package app.jerboa.standin.device;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import java.util.Objects;

/**
 * What a device or the laptop believes of the network.
 *
 * @param gateway empty text for none
 */
public record NetworkSettings(Ipv4 address, int prefix, String gateway) {
    public NetworkSettings {
        Objects.requireNonNull(address, "an address belongs here");
        if (prefix < Ipv4Subnet.WIDEST || prefix > Ipv4Subnet.NARROWEST) {
            throw new IllegalArgumentException("a prefix is 8 to 30");
        }
        gateway = Objects.requireNonNullElse(gateway, "");
    }

    /** Of a device without a network, or whom nobody lent an address. */
    public static final NetworkSettings NONE = new NetworkSettings(new Ipv4(0), 30, "");

    public boolean onLink(Ipv4 other) {
        return Ipv4Subnet.of(address, prefix).contains(other);
    }
}
