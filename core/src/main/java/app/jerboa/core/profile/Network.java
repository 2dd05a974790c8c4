package app.jerboa.core.profile;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.Fact;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a device joins a network.
 *
 * @param address the fixed one it starts on; empty unless {@code starts} is fixed
 * @param needs what must be fitted before it has Ethernet at all; empty for nothing
 */
public record Network(
        @Fact("Starts with") FactoryMode starts,
        @Fact("Factory address") Optional<Ipv4> address,
        @Fact(value = "Factory prefix", least = 8, most = 30) OptionalInt prefix,
        @Fact("Factory gateway") Optional<Ipv4> gateway,
        @Fact("Medium") Medium medium,
        @Fact("Needs fitted") String needs,
        @Fact("Takes leases only") boolean leaseOnly,
        @Fact("Can be switched to a lease at the device") boolean leaseToggle,
        @Fact("Answers a search") boolean discovery,
        @Fact("Pairs by a code that it shows") boolean pairingCode,
        @Fact(value = "Change-over to the other medium", unit = "s", most = 120)
                OptionalInt changeOverSeconds) {

    Optional<FactoryAddress> factory() {
        return address.map(a -> new FactoryAddress(a, prefix.orElse(24), gateway));
    }
}
