package app.jerboa.core.net;

import java.util.Optional;

/**
 * The fixed address every new device of a profile starts on.
 *
 * @param gateway the gateway it starts with, if any
 */
public record FactoryAddress(Ipv4 address, int prefix, Optional<Ipv4> gateway) {
    public Ipv4Subnet subnet() {
        return Ipv4Subnet.of(address, prefix);
    }
}
