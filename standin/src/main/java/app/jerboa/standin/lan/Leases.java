package app.jerboa.standin.lan;

import app.jerboa.core.job.AddressRange;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.net.Ipv4;
import app.jerboa.standin.device.NetworkSettings;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.LongStream;

/** What the house has lent, by device. */
final class Leases {
    private final Map<String, Ipv4> lent = new LinkedHashMap<>();

    /** The one it had before, its reservation, else the lowest of the pools that nobody has. */
    Optional<NetworkSettings> lend(Job job, Device device, Set<Ipv4> held) {
        String id = device.id().toString();
        Optional<Ipv4> address =
                Optional.ofNullable(lent.get(id))
                        .or(() -> device.address().filter(a -> device.reserved()))
                        .or(() -> free(job, held));
        address.ifPresent(a -> lent.put(id, a));
        return address.map(
                a ->
                        new NetworkSettings(
                                a, device.prefix(), job.subnets().get(0).gateway().toString()));
    }

    private Optional<Ipv4> free(Job job, Set<Ipv4> held) {
        Set<Ipv4> taken = new HashSet<>(held);
        taken.addAll(lent.values());
        job.devices().stream()
                .filter(Device::reserved)
                .forEach(d -> d.address().ifPresent(taken::add));
        return job.ranges().stream()
                .filter(r -> r.use().equals("pool"))
                .map(AddressRange::range)
                .flatMap(
                        r ->
                                LongStream.rangeClosed(r.first().bits(), r.last().bits())
                                        .mapToObj(Ipv4::new))
                .filter(a -> !taken.contains(a))
                .findFirst();
    }

    /** Lends it another one next time. */
    void change(String device, Ipv4 to) {
        lent.put(device, to);
    }

    /** What the router's own list says. */
    Map<String, Ipv4> all() {
        return new LinkedHashMap<>(lent);
    }

    void restore(Map<String, Ipv4> saved) {
        lent.clear();
        lent.putAll(saved);
    }
}
