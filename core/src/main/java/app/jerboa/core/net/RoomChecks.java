package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Is there room: an address for each device, and a block that holds each role? */
final class RoomChecks implements AddressCheck {
    @Override
    public void check(AddressIndex index, Consumer<Finding> report) {
        index.plan().unplaced().stream()
                .map(index::device)
                .map(d -> full(index.lan(), d))
                .forEach(report);
        AddressBlocks blocks =
                AddressBlocks.of(index.facts().lan().subnet(), index.facts().devices());
        byRole(index).forEach((role, members) -> checkBlock(index, blocks, role, members, report));
    }

    private static Finding full(Lan lan, AddressedDevice d) {
        return Finding.of(
                AddressCodes.FULL,
                d.id(),
                Field.ADDRESS,
                Map.of(
                        "device", d.name(),
                        "subnet", lan.subnet().toString(),
                        "hosts", Long.toString(lan.subnet().hosts().size()),
                        "blockers", blockers(lan)));
    }

    private static String blockers(Lan lan) {
        long pool = lan.pools().stream().mapToLong(Ipv4Range::size).sum();
        long taken = lan.taken().stream().mapToLong(t -> t.range().size()).sum();
        long reserved = lan.reserved().stream().mapToLong(Ipv4Range::size).sum();
        return pool + " in the DHCP pool, " + taken + " taken, " + reserved + " reserved";
    }

    private static Map<AddressRole, List<AddressedDevice>> byRole(AddressIndex index) {
        Map<AddressRole, List<AddressedDevice>> byRole = new EnumMap<>(AddressRole.class);
        for (AddressedDevice d : index.facts().devices()) {
            byRole.computeIfAbsent(d.role(), r -> new ArrayList<>()).add(d);
        }
        return byRole;
    }

    private static void checkBlock(
            AddressIndex index,
            AddressBlocks blocks,
            AddressRole role,
            List<AddressedDevice> members,
            Consumer<Finding> report) {
        Ipv4Range block = blocks.of(role);
        if (block.size() >= members.size()) {
            return;
        }
        int prefix = index.lan().subnet().prefix();
        String holds =
                AddressBlocks.prefixThatHolds(role, members.size(), prefix)
                        .map(p -> "/" + p)
                        .orElse("none");
        report.accept(
                Finding.of(
                        AddressCodes.BLOCK,
                        members.get(0).id(),
                        Field.ADDRESS,
                        Map.of(
                                "role", role.name(),
                                "wanted", Integer.toString(members.size()),
                                "room", Long.toString(block.size()),
                                "first", block.first().toString(),
                                "last", block.last().toString(),
                                "holds", holds)));
    }
}
