package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Is each device's address a host of the subnet, outside the house's own ranges? */
final class PlaceChecks implements AddressCheck {
    @Override
    public void check(AddressIndex index, Consumer<Finding> report) {
        for (AddressedDevice d : index.facts().devices()) {
            if (d.address().isEmpty() && !d.leases()) {
                report.accept(finding(index, AddressCodes.NONE, d, Map.of("device", d.name())));
            } else if (d.address().isPresent()) {
                checkPlace(index, d, d.address().get(), report);
            }
        }
    }

    private static void checkPlace(
            AddressIndex index, AddressedDevice d, Ipv4 address, Consumer<Finding> report) {
        Map<String, String> at = Map.of("device", d.name(), "address", address.toString());
        if (!index.lan().subnet().isHost(address)) {
            report.accept(outside(index, d, address));
            return;
        }
        index.takenBy(address)
                .map(holder -> finding(index, AddressCodes.TAKEN, d, with(at, "holder", holder)))
                .ifPresent(report);
        index.reservedWith(address)
                .map(range -> finding(index, AddressCodes.RESERVED, d, with(at, range)))
                .ifPresent(report);
        index.poolWith(address)
                .filter(pool -> !d.reserved())
                .map(pool -> inPool(index, d, with(at, pool)))
                .ifPresent(report);
    }

    private static Finding outside(AddressIndex index, AddressedDevice d, Ipv4 address) {
        Ipv4Subnet subnet = index.lan().subnet();
        String what =
                address.equals(subnet.network())
                        ? "network"
                        : address.equals(subnet.broadcast()) ? "broadcast" : "outside";
        return finding(
                index,
                AddressCodes.OUTSIDE,
                d,
                Map.of(
                        "device", d.name(),
                        "address", address.toString(),
                        "subnet", subnet.toString(),
                        "first", subnet.hosts().first().toString(),
                        "last", subnet.hosts().last().toString(),
                        "what", what));
    }

    private static Finding inPool(
            AddressIndex index, AddressedDevice d, Map<String, String> facts) {
        List<Fix> fixes = new ArrayList<>(index.moving(List.of(d.id())));
        fixes.add(
                Fix.editing("reserve", List.of(Edit.of(d.id(), Field.RESERVED, "false", "true"))));
        return Finding.of(AddressCodes.POOL, d.id(), Field.ADDRESS, facts).withFixes(fixes);
    }

    private static Finding finding(
            AddressIndex index, FindingCode code, AddressedDevice d, Map<String, String> facts) {
        return Finding.of(code, d.id(), Field.ADDRESS, facts)
                .withFixes(index.moving(List.of(d.id())));
    }

    private static Map<String, String> with(Map<String, String> facts, String key, String value) {
        Map<String, String> more = new HashMap<>(facts);
        more.put(key, value);
        return more;
    }

    private static Map<String, String> with(Map<String, String> facts, Ipv4Range range) {
        return with(
                with(facts, "first", range.first().toString()), "last", range.last().toString());
    }
}
