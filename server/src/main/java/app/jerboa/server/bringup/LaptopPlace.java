package app.jerboa.server.bringup;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.job.Job;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Sort;
import app.jerboa.server.world.Laptop;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Whether the laptop is where a step wants it. */
final class LaptopPlace {
    private LaptopPlace() {}

    /** Which of its addresses does; empty while none does. */
    static Optional<String> of(Laptop laptop, LaptopAddress wanted, Job job) {
        List<String> all = Stream.concat(Stream.of(laptop.own()), laptop.also().stream()).toList();
        return wanted.among(all, devices(job));
    }

    /** What a laptop may not have: where devices are, start or are to be. */
    private static Set<Ipv4> devices(Job job) {
        return job.devices().stream()
                .filter(d -> d.profile().sort() != Sort.LAPTOP)
                .flatMap(
                        d ->
                                Stream.of(
                                        d.address(),
                                        d.found(),
                                        d.profile().factory().map(FactoryAddress::address)))
                .flatMap(Optional::stream)
                .collect(Collectors.toSet());
    }
}
