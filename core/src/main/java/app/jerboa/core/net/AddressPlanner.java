package app.jerboa.core.net;

import app.jerboa.core.net.Move.Reason;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Works out which devices need another address and which one, moving as few devices as it can.
 *
 * <p>Order of priorities: usable addresses and counting runs first; devices set on site stay; the
 * fewest planned devices move; then the lowest address in the role's block; then anywhere free.
 * Counting runs are placed together, then every device whose address is sound stays, then the rest
 * is placed in line order, cameras side by side where they fit.
 */
public final class AddressPlanner {
    private final AddressFacts facts;
    private final RangeIndex<Blocked> blocked;
    private final RangeIndex<Blocked> closed;
    private final RangeIndex<Blocked> closedButPools;
    private final Occupants standing = new Occupants();
    private final AddressBlocks blocks;
    private final Map<DeviceId, AddressedDevice> devices = new LinkedHashMap<>();
    private final Map<DeviceId, Integer> groups = new HashMap<>();
    private final Map<DeviceId, Ipv4> placed = new HashMap<>();
    private final RangeIndex<DeviceId> used = new RangeIndex<>();
    private final Set<DeviceId> inRun = new HashSet<>();
    private final Set<DeviceId> makingRoom = new HashSet<>();
    private final List<DeviceId> unplaced = new ArrayList<>();
    private int lastGroup;

    private AddressPlanner(AddressFacts facts, Map<AddressRole, Ipv4Range> instead) {
        this.facts = facts;
        this.blocked = Blocked.of(facts, true);
        this.closed = Blocked.of(facts, true);
        this.closedButPools = Blocked.of(facts, false);
        this.blocks = AddressBlocks.of(facts.lan().subnet(), facts.devices()).with(instead);
        facts.devices().forEach(d -> devices.put(d.id(), d));
    }

    public static AddressPlan plan(AddressFacts facts) {
        return plan(facts, Map.of());
    }

    /**
     * @param instead blocks that take the place of the usual ones
     */
    public static AddressPlan plan(AddressFacts facts, Map<AddressRole, Ipv4Range> instead) {
        return new AddressPlanner(facts, instead).plan();
    }

    private AddressPlan plan() {
        facts.devices().stream().filter(this::sound).forEach(standing::add);
        placeRuns(RunPattern.of(facts.runs()));
        List<AddressedDevice> homeless = keepWhatIsSound();
        placeCamerasSideBySide(homeless);
        placeOneByOne(homeless);
        return new AddressPlan(moves(), unplaced);
    }

    /** Cameras whose run has no place keep no address: theirs may be given to others. */
    private void placeRuns(List<RunPattern> runs) {
        for (RunPattern run : runs) {
            run.spots().forEach(k -> inRun.add(k.camera()));
            run.spots().forEach(k -> standing.remove(devices.get(k.camera())));
        }
        Map<RunPattern, Long> starts =
                RunsTogether.starts(runs, given -> run -> placing(run, given));
        for (RunPattern run : runs) {
            if (starts.containsKey(run)) {
                takeRun(run, new Ipv4(starts.get(run)));
            } else {
                run.spots().forEach(k -> unplaced.add(k.camera()));
            }
        }
    }

    private RunPlacement placing(RunPattern run, Given given) {
        Obstacles toMost = given.with(closed);
        Obstacles toReserved = given.with(closedButPools);
        return new RunPlacement(
                run,
                facts.lan().subnet(),
                blocks.of(AddressRole.CAMERA),
                camera -> devices.get(camera).reserved() ? toReserved : toMost,
                standing,
                devices);
    }

    private void takeRun(RunPattern run, Ipv4 first) {
        lastGroup++;
        for (RunPattern.Spot spot : run.spots()) {
            Ipv4 address = first.plus(spot.offset());
            place(spot.camera(), address);
            groups.put(spot.camera(), lastGroup);
            standing.at(address)
                    .ifPresent(
                            d -> {
                                standing.remove(d);
                                makingRoom.add(d.id());
                                groups.put(d.id(), lastGroup);
                            });
        }
    }

    /** Its own address may be used: in the subnet, and not blocked to it. */
    private boolean sound(AddressedDevice d) {
        if (d.address().isEmpty() || !facts.lan().subnet().isHost(d.address().get())) {
            return false;
        }
        return blocked.at(d.address().get()).filter(b -> blocks(b, d)).isEmpty();
    }

    private static boolean blocks(Blocked b, AddressedDevice d) {
        return switch (b.kind()) {
            case POOL -> !d.reserved();
            case GATEWAY -> !d.isGateway();
            case NETWORK, BROADCAST, TAKEN, RESERVED_RANGE, FACTORY, USED -> true;
        };
    }

    private List<AddressedDevice> keepWhatIsSound() {
        List<AddressedDevice> waiting =
                facts.devices().stream()
                        .filter(d -> !inRun.contains(d.id()))
                        .filter(d -> d.address().isPresent() || !d.leases())
                        .toList();
        List<AddressedDevice> homeless = new ArrayList<>();
        waiting.stream().filter(AddressedDevice::set).forEach(d -> keepOrQueue(d, homeless));
        waiting.stream().filter(d -> !d.set()).forEach(d -> keepOrQueue(d, homeless));
        Map<DeviceId, Integer> order = new HashMap<>();
        facts.devices().forEach(d -> order.put(d.id(), order.size()));
        homeless.sort(Comparator.comparing(d -> order.get(d.id())));
        return homeless;
    }

    private void keepOrQueue(AddressedDevice d, List<AddressedDevice> homeless) {
        if (sound(d) && used.at(d.address().orElseThrow()).isEmpty()) {
            place(d.id(), d.address().get());
        } else {
            homeless.add(d);
        }
    }

    private void placeCamerasSideBySide(List<AddressedDevice> homeless) {
        List<AddressedDevice> cameras =
                homeless.stream().filter(d -> d.role() == AddressRole.CAMERA).toList();
        if (cameras.size() < 2) {
            return;
        }
        Ipv4Range block = blocks.of(AddressRole.CAMERA);
        long first = lowestFree(block.first().bits(), block.last().bits(), cameras.size());
        if (first >= 0) {
            for (int i = 0; i < cameras.size(); i++) {
                place(cameras.get(i).id(), new Ipv4(first + i));
            }
        }
    }

    private void placeOneByOne(List<AddressedDevice> homeless) {
        Ipv4Range hosts = facts.lan().subnet().hosts();
        Map<AddressRole, Long> cursors = new EnumMap<>(AddressRole.class);
        long anywhere = hosts.first().bits();
        for (AddressedDevice d : homeless) {
            if (placed.containsKey(d.id())) {
                continue;
            }
            Ipv4Range block = blocks.of(d.role());
            long from = cursors.getOrDefault(d.role(), block.first().bits());
            long free = lowestFree(from, block.last().bits(), 1);
            cursors.put(d.role(), free < 0 ? block.last().bits() + 1 : free + 1);
            if (free < 0) {
                free = lowestFree(anywhere, hosts.last().bits(), 1);
                anywhere = free < 0 ? hosts.last().bits() + 1 : free + 1;
            }
            if (free < 0) {
                unplaced.add(d.id());
            } else {
                place(d.id(), new Ipv4(free));
            }
        }
    }

    /** Lowest address from which {@code count} in a row are free, or -1. */
    private long lowestFree(long from, long last, int count) {
        long first = from;
        while (first + count - 1 <= last) {
            long hit =
                    Math.max(
                            blocked.endOfLastOverlap(first, first + count - 1),
                            used.endOfLastOverlap(first, first + count - 1));
            if (hit < 0) {
                return first;
            }
            first = hit + 1;
        }
        return -1;
    }

    private void place(DeviceId device, Ipv4 address) {
        placed.put(device, address);
        used.put(Ipv4Range.of(address), device);
    }

    private List<Move> moves() {
        int single = lastGroup;
        List<Move> moves = new ArrayList<>();
        for (AddressedDevice d : facts.devices()) {
            Ipv4 to = placed.get(d.id());
            if (to != null && !d.address().equals(Optional.of(to))) {
                int group = groups.containsKey(d.id()) ? groups.get(d.id()) : ++single;
                moves.add(new Move(d.id(), d.address(), to, reason(d), group));
            }
        }
        return moves;
    }

    private Reason reason(AddressedDevice d) {
        if (d.address().isEmpty()) {
            return Reason.UNPLANNED;
        }
        if (makingRoom.contains(d.id())) {
            return Reason.MAKES_ROOM;
        }
        return inRun.contains(d.id()) && sound(d) ? Reason.JOINS_RUN : Reason.NOT_USABLE;
    }
}
