package app.jerboa.server.addresses;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.addresses.HostNames;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Map;

/** Names for computers: a hosts file, and lines for a zone (RFC 1035). */
final class NameFiles {
    private NameFiles() {}

    static String hosts(Job job) {
        StringBuilder out = new StringBuilder("# " + comment(job) + "\n");
        Map<DeviceId, String> names = HostNames.of(job.devices());
        for (Device d : addressed(job)) {
            out.append(address(d)).append('\t').append(names.get(d.id())).append('\n');
        }
        return out.toString();
    }

    /** A records to be put into a zone, then the reverse ones. */
    static String zone(Job job) {
        StringBuilder out = new StringBuilder("; " + comment(job) + "\n");
        Map<DeviceId, String> names = HostNames.of(job.devices());
        for (Device d : addressed(job)) {
            out.append(names.get(d.id())).append("\tIN\tA\t").append(address(d)).append('\n');
        }
        out.append("; for in-addr.arpa; put your own domain behind each name\n");
        for (Device d : addressed(job)) {
            String[] octets = address(d).split("\\.", -1);
            out.append(octets[3] + "." + octets[2] + "." + octets[1] + "." + octets[0])
                    .append(".in-addr.arpa.\tIN\tPTR\t")
                    .append(names.get(d.id()))
                    .append('\n');
        }
        return out.toString();
    }

    /** What a file says of itself: one line, no signs that its readers give a meaning. */
    static String comment(Job job) {
        return HostNames.plain(job.name()) + ": planned addresses";
    }

    private static String address(Device d) {
        return d.address().map(Ipv4::toString).orElseThrow();
    }

    private static List<Device> addressed(Job job) {
        return job.devices().stream().filter(d -> d.address().isPresent()).toList();
    }
}
