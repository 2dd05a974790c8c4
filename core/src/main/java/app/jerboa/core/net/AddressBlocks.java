package app.jerboa.core.net;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where each role's addresses go in one subnet. The offsets of a /24 are used as they are wherever
 * they fit; a narrower subnet shrinks them evenly, and a wider one stretches them by the least
 * whole factor that holds what is wanted.
 */
public final class AddressBlocks {
    /**
     * Highest offset any role uses, so that a factor can be checked against the hosts there are.
     */
    private static final int TOP_OFFSET =
            Arrays.stream(AddressRole.values())
                    .mapToInt(AddressRole::lastOffset)
                    .max()
                    .orElseThrow();

    private static final int HOSTS_OF_24 = 254;

    private final Map<AddressRole, Ipv4Range> ranges = new EnumMap<>(AddressRole.class);

    private AddressBlocks(Ipv4Subnet subnet, double factor) {
        long hosts = subnet.hosts().size();
        for (AddressRole role : AddressRole.values()) {
            long first = Math.min(hosts, Math.max(1, Math.round(role.firstOffset() * factor)));
            long last = Math.min(hosts, Math.max(first, Math.round(role.lastOffset() * factor)));
            ranges.put(
                    role, new Ipv4Range(subnet.network().plus(first), subnet.network().plus(last)));
        }
    }

    /**
     * @param wanted how many addresses each role needs; roles left out need none
     */
    public static AddressBlocks of(Ipv4Subnet subnet, Map<AddressRole, Integer> wanted) {
        long hosts = subnet.hosts().size();
        if (hosts < TOP_OFFSET) {
            return new AddressBlocks(subnet, (double) hosts / TOP_OFFSET);
        }
        long factor = Math.min(factorFor(wanted), hosts / HOSTS_OF_24);
        return new AddressBlocks(subnet, Math.max(1, factor));
    }

    /** As so many devices of each role stretch them. */
    public static AddressBlocks of(Ipv4Subnet subnet, List<AddressedDevice> devices) {
        Map<AddressRole, Integer> wanted = new EnumMap<>(AddressRole.class);
        devices.forEach(d -> wanted.merge(d.role(), 1, Integer::sum));
        return of(subnet, wanted);
    }

    private static long factorFor(Map<AddressRole, Integer> wanted) {
        return wanted.entrySet().stream()
                .mapToLong(e -> factorFor(e.getKey(), e.getValue()))
                .max()
                .orElse(1);
    }

    private static long factorFor(AddressRole role, int count) {
        int size = role.lastOffset() - role.firstOffset() + 1;
        return Math.max(1, (count + size - 1) / size);
    }

    private AddressBlocks(Map<AddressRole, Ipv4Range> ranges) {
        this.ranges.putAll(ranges);
    }

    /** With other blocks for some roles. */
    AddressBlocks with(Map<AddressRole, Ipv4Range> instead) {
        AddressBlocks other = new AddressBlocks(ranges);
        other.ranges.putAll(instead);
        return other;
    }

    public Ipv4Range of(AddressRole role) {
        return ranges.get(role);
    }

    public Map<AddressRole, Ipv4Range> all() {
        return Collections.unmodifiableMap(ranges);
    }

    /**
     * The narrowest prefix, no narrower than {@code from}, whose block for the role holds {@code
     * count}.
     */
    public static Optional<Integer> prefixThatHolds(AddressRole role, int count, int from) {
        long need = factorFor(role, count) * HOSTS_OF_24;
        for (int prefix = from; prefix >= Ipv4Subnet.WIDEST; prefix--) {
            if ((1L << (32 - prefix)) - 2 >= need) {
                return Optional.of(prefix);
            }
        }
        return Optional.empty();
    }
}
