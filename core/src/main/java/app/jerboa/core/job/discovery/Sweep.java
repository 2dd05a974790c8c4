package app.jerboa.core.job.discovery;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Ipv4Subnet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The addresses that one look at the network asks: hosts of the job's subnets only, and no more
 * than {@link #MOST}. Where something of the job should be comes first, so that a wide subnet is
 * not cut off before it; then the rest, upwards.
 *
 * @param addresses in the order in which they are asked, each once
 * @param leftOut hosts of these subnets that are not asked, since there are too many
 */
public record Sweep(List<Ipv4> addresses, long leftOut) {
    /** Addresses in one run: a network that is looked through politely. */
    public static final int MOST = 1024;

    /** Addresses a second, so that a small switch or an old camera is not flooded. */
    public static final int PER_SECOND = 50;

    public Sweep {
        addresses = List.copyOf(addresses);
    }

    /** How long it takes at least, in s. */
    public double seconds() {
        return (double) addresses.size() / PER_SECOND;
    }

    /**
     * @param subnets of the job; others are not asked
     */
    public static Sweep of(Job job, List<Ipv4Subnet> subnets) {
        List<Ipv4Subnet> own =
                job.subnets().stream().map(s -> s.range()).filter(subnets::contains).toList();
        Set<Ipv4> chosen = new LinkedHashSet<>();
        Stream.concat(
                        job.devices().stream().flatMap(Sweep::expected),
                        own.stream().flatMap(s -> upwards(s.hosts())))
                .filter(a -> own.stream().anyMatch(s -> s.isHost(a)))
                .takeWhile(a -> chosen.size() < MOST)
                .forEach(chosen::add);
        long hosts = own.stream().mapToLong(s -> s.hosts().size()).sum();
        return new Sweep(List.copyOf(chosen), Math.max(0, hosts - chosen.size()));
    }

    /** Where a device should be, was found before, or starts. */
    private static Stream<Ipv4> expected(Device d) {
        return Stream.of(d.address(), d.found(), d.profile().factory().map(FactoryAddress::address))
                .flatMap(Optional::stream);
    }

    private static Stream<Ipv4> upwards(Ipv4Range range) {
        return Stream.iterate(range.first(), a -> a.compareTo(range.last()) <= 0, a -> a.plus(1));
    }
}
