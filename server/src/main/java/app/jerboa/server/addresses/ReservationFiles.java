package app.jerboa.server.addresses;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.addresses.HostNames;
import app.jerboa.core.job.addresses.Reservations;
import app.jerboa.core.net.Ipv4Range;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lease reservations as DHCP servers read them. Names are labels and addresses are addresses by
 * now, so nothing of what people typed is read as anything else.
 */
final class ReservationFiles {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private ReservationFiles() {}

    /** For a file of dnsmasq's {@code conf-dir}. */
    static String dnsmasq(Reservations r, String comment) {
        StringBuilder out = new StringBuilder("# " + comment + "\n").append(lacking(r, "# "));
        for (Reservations.Net net : r.subnets()) {
            String mask = net.subnet().range().mask().toString();
            for (Ipv4Range pool : net.pools()) {
                out.append("dhcp-range=")
                        .append(pool.first() + "," + pool.last() + "," + mask + ",12h\n");
            }
            if (net.pools().isEmpty()) {
                out.append("dhcp-range=")
                        .append(net.subnet().range().network() + ",static," + mask + ",12h\n");
            }
            for (Reservations.Host h : net.hosts()) {
                out.append("dhcp-host=")
                        .append(h.mac() + "," + h.address() + "," + h.name() + "\n");
            }
        }
        return out.toString();
    }

    /** For ISC dhcpd: a whole configuration, to be used as it is or included. */
    static String dhcpd(Reservations r, String comment) {
        StringBuilder out = new StringBuilder("# " + comment + "\n").append(lacking(r, "# "));
        for (Reservations.Net net : r.subnets()) {
            out.append("subnet ")
                    .append(net.subnet().range().network())
                    .append(" netmask ")
                    .append(net.subnet().range().mask())
                    .append(" {\n  option routers ")
                    .append(net.subnet().gateway())
                    .append(";\n");
            for (Ipv4Range pool : net.pools()) {
                out.append("  range " + pool.first() + " " + pool.last() + ";\n");
            }
            out.append("}\n");
            for (Reservations.Host h : net.hosts()) {
                out.append("host " + h.name() + " {\n  hardware ethernet " + h.mac() + ";\n")
                        .append("  fixed-address " + h.address() + ";\n}\n");
            }
        }
        return out.toString();
    }

    /** For Kea: the DHCPv4 part with subnets, pools and reservations. */
    static String kea(Reservations r, String comment) {
        List<Object> subnets = new ArrayList<>();
        int id = 1;
        for (Reservations.Net net : r.subnets()) {
            Map<String, Object> subnet = new LinkedHashMap<>();
            subnet.put("id", id++);
            subnet.put("subnet", net.subnet().range().toString());
            subnet.put(
                    "pools",
                    net.pools().stream()
                            .map(p -> Map.of("pool", p.first() + " - " + p.last()))
                            .toList());
            subnet.put(
                    "option-data",
                    List.of(Map.of("name", "routers", "data", net.subnet().gateway().toString())));
            subnet.put(
                    "reservations",
                    net.hosts().stream().map(ReservationFiles::reservation).toList());
            subnets.add(subnet);
        }
        Map<String, Object> dhcp = new LinkedHashMap<>();
        dhcp.put("valid-lifetime", 43_200);
        dhcp.put("user-context", Map.of("comment", comment));
        dhcp.put("subnet4", subnets);
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(Map.of("Dhcp4", dhcp))
                + "\n";
    }

    private static Map<String, Object> reservation(Reservations.Host h) {
        Map<String, Object> one = new LinkedHashMap<>();
        one.put("hw-address", h.mac());
        one.put("ip-address", h.address().toString());
        one.put("hostname", h.name());
        return one;
    }

    private static String lacking(Reservations r, String mark) {
        StringBuilder out = new StringBuilder();
        for (Device d : r.lacking()) {
            out.append(mark + "no MAC is noted for " + HostNames.plain(d.name()) + "\n");
        }
        return out.toString();
    }
}
