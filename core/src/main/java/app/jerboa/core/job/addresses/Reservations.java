package app.jerboa.core.job.addresses;

import app.jerboa.core.job.AddressRange;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What a DHCP server must know to lend every device its planned address.
 *
 * @param subnets in the order of the job
 * @param lacking devices whose MAC is not noted, so that nothing can be reserved for them
 */
public record Reservations(List<Net> subnets, List<Device> lacking) {
    /** One subnet, its pools and its reservations. */
    public record Net(Subnet subnet, List<Ipv4Range> pools, List<Host> hosts) {}

    /**
     * One reservation.
     *
     * @param name a label of RFC 1123
     * @param mac lower case with colons
     */
    public record Host(String name, String mac, Ipv4 address) {}

    /**
     * @param all every planned address; else only those that are to be reserved
     */
    public static Reservations of(Job job, boolean all) {
        Map<DeviceId, String> names = HostNames.of(job.devices());
        List<Device> wanted =
                job.devices().stream()
                        .filter(d -> d.address().isPresent() && (all || d.reserved()))
                        .toList();
        List<Net> nets = new ArrayList<>();
        for (Subnet s : job.subnets()) {
            List<Host> hosts =
                    wanted.stream()
                            .filter(d -> !d.mac().isEmpty())
                            .filter(d -> s.range().isHost(d.address().get()))
                            .map(d -> new Host(names.get(d.id()), d.mac(), d.address().get()))
                            .toList();
            nets.add(new Net(s, pools(job, s), hosts));
        }
        return new Reservations(nets, wanted.stream().filter(d -> d.mac().isEmpty()).toList());
    }

    private static List<Ipv4Range> pools(Job job, Subnet s) {
        return job.ranges().stream()
                .filter(r -> r.use().equals("pool"))
                .map(AddressRange::range)
                .filter(r -> s.range().contains(r.first()) && s.range().contains(r.last()))
                .toList();
    }

    public long count() {
        return subnets.stream().mapToLong(n -> n.hosts().size()).sum();
    }
}
