package app.jerboa.core.net;

import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Look-ups every address check shares, built once per run so that no check is quadratic. */
final class AddressIndex {
    private final AddressFacts facts;
    private final AddressPlan plan;
    private final Map<DeviceId, AddressedDevice> devices = new LinkedHashMap<>();
    private final Map<Ipv4, List<AddressedDevice>> byAddress = new LinkedHashMap<>();
    private final Map<Ipv4, List<AddressedDevice>> byFactory = new LinkedHashMap<>();
    private final RangeIndex<String> taken = new RangeIndex<>();
    private final RangeIndex<Ipv4Range> pools = new RangeIndex<>();
    private final RangeIndex<Ipv4Range> reserved = new RangeIndex<>();
    private final Set<DeviceId> unplaced;
    private final Map<DeviceId, Integer> groupOf = new HashMap<>();
    private final Map<Integer, List<Move>> movesOf = new HashMap<>();

    AddressIndex(AddressFacts facts) {
        this.facts = facts;
        this.plan = AddressPlanner.plan(facts);
        this.unplaced = Set.copyOf(plan.unplaced());
        for (AddressedDevice d : facts.devices()) {
            devices.put(d.id(), d);
            d.address().ifPresent(a -> byAddress.computeIfAbsent(a, x -> new ArrayList<>()).add(d));
            d.factory()
                    .map(FactoryAddress::address)
                    .ifPresent(a -> byFactory.computeIfAbsent(a, x -> new ArrayList<>()).add(d));
        }
        facts.lan().taken().forEach(t -> taken.put(t.range(), t.holder()));
        facts.lan().pools().forEach(p -> pools.put(p, p));
        facts.lan().reserved().forEach(r -> reserved.put(r, r));
        for (Move move : plan.moves()) {
            groupOf.put(move.device(), move.group());
            movesOf.computeIfAbsent(move.group(), g -> new ArrayList<>()).add(move);
        }
    }

    Lan lan() {
        return facts.lan();
    }

    AddressFacts facts() {
        return facts;
    }

    AddressPlan plan() {
        return plan;
    }

    AddressedDevice device(DeviceId id) {
        return devices.get(id);
    }

    Map<Ipv4, List<AddressedDevice>> byAddress() {
        return byAddress;
    }

    Map<Ipv4, List<AddressedDevice>> byFactory() {
        return byFactory;
    }

    Optional<String> takenBy(Ipv4 address) {
        return taken.at(address);
    }

    Optional<Ipv4Range> poolWith(Ipv4 address) {
        return pools.at(address);
    }

    Optional<Ipv4Range> reservedWith(Ipv4 address) {
        return reserved.at(address);
    }

    /**
     * The plan's moves for these devices, for those that move with them, and for those that stand
     * where they go, as one fix: taken alone it leaves no two devices on one address.
     */
    List<Fix> moving(Collection<DeviceId> wanted) {
        Set<Integer> groups = new LinkedHashSet<>();
        Map<DeviceId, Edit> cleared = new LinkedHashMap<>();
        for (DeviceId id : wanted) {
            addGroup(id, groups, cleared);
        }
        List<Edit> edits = new ArrayList<>(cleared.values());
        groups.stream()
                .flatMap(g -> movesOf.get(g).stream())
                .map(AddressIndex::asEdit)
                .forEach(edits::add);
        return groups.isEmpty() ? List.of() : List.of(Fix.editing("move", edits));
    }

    private void addGroup(DeviceId id, Set<Integer> groups, Map<DeviceId, Edit> cleared) {
        Deque<DeviceId> next = new ArrayDeque<>(List.of(id));
        while (!next.isEmpty()) {
            Integer group = groupOf.get(next.removeFirst());
            if (group == null || !groups.add(group)) {
                continue;
            }
            for (Move move : movesOf.get(group)) {
                for (AddressedDevice there : byAddress.getOrDefault(move.to(), List.of())) {
                    if (unplaced.contains(there.id())) {
                        cleared.put(there.id(), cleared(there));
                    } else {
                        next.add(there.id());
                    }
                }
            }
        }
    }

    private static Edit cleared(AddressedDevice d) {
        String before = d.address().map(Ipv4::toString).orElse("");
        return Edit.of(d.id(), Field.ADDRESS, before, "");
    }

    static Edit asEdit(Move move) {
        String before = move.from().map(Ipv4::toString).orElse("");
        return Edit.of(move.device(), Field.ADDRESS, before, move.to().toString());
    }
}
