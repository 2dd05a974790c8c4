package app.jerboa.core.bringup;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.TextRejected;
import java.util.Collection;
import java.util.Optional;

/** An address for the technician's laptop; the gateway stays empty while it is hopped. */
public record LaptopAddress(Ipv4 address, int prefix) {
    /** Counting down starts here in a /24 and wider: high enough to be clear of most devices. */
    private static final int HIGHEST_OFFSET = 250;

    /** Reads {@code 10.44.8.81/24} as {@link #toString()} writes it; keeps the host bits. */
    public static LaptopAddress parse(String text) {
        int slash = Math.max(0, text.indexOf('/'));
        return new LaptopAddress(
                Ipv4.parse(text.substring(0, slash)), Ipv4Subnet.parse(text).prefix());
    }

    public Ipv4Subnet subnet() {
        return Ipv4Subnet.of(address, prefix);
    }

    /**
     * Where the laptop goes to reach a factory subnet: downwards from network + min(250, hosts),
     * the first address that no device has.
     *
     * @param avoid factory and planned addresses and factory gateways there
     * @return empty when every host from there down is in use
     */
    public static Optional<LaptopAddress> in(Ipv4Subnet factorySubnet, Collection<Ipv4> avoid) {
        long highest = Math.min(HIGHEST_OFFSET, factorySubnet.hosts().size());
        for (long offset = highest; offset >= 1; offset--) {
            Ipv4 candidate = factorySubnet.network().plus(offset);
            if (!avoid.contains(candidate)) {
                return Optional.of(new LaptopAddress(candidate, factorySubnet.prefix()));
            }
        }
        return Optional.empty();
    }

    /**
     * Which of a laptop's addresses does for this one: this very one, else another of its subnet
     * that no device has, which a technician may like better or a router may have lent.
     *
     * @param own with their prefixes; one that no house network has is passed over
     * @param devices addresses that devices have or are to have
     */
    public Optional<String> among(Collection<String> own, Collection<Ipv4> devices) {
        return own.stream()
                .filter(toString()::equals)
                .findFirst()
                .or(() -> own.stream().filter(a -> does(a, devices)).findFirst());
    }

    private boolean does(String own, Collection<Ipv4> devices) {
        try {
            LaptopAddress other = parse(own);
            return other.subnet().equals(subnet()) && !devices.contains(other.address());
        } catch (TextRejected e) {
            return false;
        }
    }

    @Override
    public String toString() {
        return address + "/" + prefix;
    }
}
