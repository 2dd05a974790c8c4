package app.jerboa.core.net;

import app.jerboa.core.value.DeviceId;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * Finds where a counting run could start: on usable addresses, moving the fewest devices that are
 * set on site, then the fewest planned ones, then inside the cameras' block, then lowest. Each spot
 * is judged for its own camera: the DHCP pool is open to those that are reserved in it.
 *
 * <p>A start some camera already agrees with is scored one by one; of the starts no camera agrees
 * with, only the lowest that displaces no device can win, so the search stays O(n log n).
 */
final class RunPlacement {
    /** Beyond this many starts a full search is given up; a subnet that crowded has few anyway. */
    private static final long MOST_STARTS = 1 << 20;

    record Score(int setMoved, int plannedMoved, boolean outsideBlock, long first)
            implements Comparable<Score> {
        private static final Comparator<Score> ORDER =
                Comparator.comparingInt(Score::setMoved)
                        .thenComparingInt(Score::plannedMoved)
                        .thenComparing(Score::outsideBlock)
                        .thenComparingLong(Score::first);

        @Override
        public int compareTo(Score other) {
            return ORDER.compare(this, other);
        }
    }

    private final RunPattern run;
    private final Ipv4Subnet subnet;
    private final Ipv4Range block;
    private final Function<DeviceId, Obstacles> blocked;
    private final Occupants others;
    private final Map<DeviceId, AddressedDevice> devices;

    /**
     * @param blocked what this camera may not be given
     * @param others devices outside the run on usable addresses, which could make room
     */
    RunPlacement(
            RunPattern run,
            Ipv4Subnet subnet,
            Ipv4Range block,
            Function<DeviceId, Obstacles> blocked,
            Occupants others,
            Map<DeviceId, AddressedDevice> devices) {
        this.run = run;
        this.subnet = subnet;
        this.block = block;
        this.blocked = blocked;
        this.others = others;
        this.devices = devices;
    }

    /** Usable starts that some camera agrees with, best first. */
    List<Score> agreed() {
        return startsSomeoneAgreesWith().stream()
                .filter(this::usable)
                .map(this::score)
                .sorted()
                .toList();
    }

    /** No choice moves fewer: where most stay, or all of them move. */
    Score atLeast() {
        Score all = allMoved();
        return Stream.concat(agreed().stream(), Stream.of(all)).min(Score.ORDER).orElse(all);
    }

    /** Every camera of it moves, and no other device. */
    Score allMoved() {
        int set = (int) run.spots().stream().filter(k -> devices.get(k.camera()).set()).count();
        return new Score(set, run.spots().size() - set, false, 0);
    }

    /** The best start that no camera need agree with. */
    Optional<Score> fresh() {
        Optional<Long> anywhere = lowestUndisturbed(subnet.hosts());
        Stream<Long> starts =
                anywhere.isEmpty()
                        ? everyUsableStart()
                        : Stream.concat(lowestUndisturbed(block).stream(), anywhere.stream());
        return starts.map(this::score).min(Comparator.naturalOrder());
    }

    /** Every usable start, lowest first. */
    Stream<Score> everywhere() {
        return everyUsableStart().map(this::score);
    }

    private Set<Long> startsSomeoneAgreesWith() {
        Set<Long> starts = new LinkedHashSet<>();
        for (RunPattern.Spot keyed : run.spots()) {
            devices.get(keyed.camera())
                    .address()
                    .ifPresent(a -> starts.add(a.bits() - keyed.offset()));
        }
        return starts;
    }

    private boolean usable(long first) {
        return nextUsable(first, blocked) == first;
    }

    /**
     * The lowest usable start that also displaces no device, with all cameras within {@code range}.
     */
    private Optional<Long> lowestUndisturbed(Ipv4Range range) {
        long first = range.first().bits();
        while (first >= 0 && first + run.highest() <= range.last().bits()) {
            long here = nextUsable(first, blocked);
            long there = nextUsable(here, camera -> others);
            if (here == first && there == first) {
                return Optional.of(first);
            }
            first = Math.max(here, there);
        }
        return Optional.empty();
    }

    /** {@code first} itself, or the next start that clears whatever stands in the way of it. */
    private long nextUsable(long first, Function<DeviceId, Obstacles> standing) {
        long low = first;
        long high = first + run.highest();
        if (low < subnet.network().bits() || high > subnet.broadcast().bits()) {
            return first + 1;
        }
        for (RunPattern.Window window : run.windows()) {
            long last = first + window.high();
            if ((first + window.low()) >> 8 != last >> 8) {
                return ((last >> 8) << 8) - window.low();
            }
        }
        List<RunPattern.Spot> cameras = run.spots();
        for (int i = 0; i < cameras.size(); i++) {
            int from = cameras.get(i).offset();
            Obstacles obstacles = standing.apply(cameras.get(i).camera());
            while (i + 1 < cameras.size()
                    && cameras.get(i + 1).offset() <= cameras.get(i).offset() + 1
                    && standing.apply(cameras.get(i + 1).camera()).equals(obstacles)) {
                i++;
            }
            long end = obstacles.endOfLastOverlap(first + from, first + cameras.get(i).offset());
            if (end >= 0) {
                return Math.max(first + 1, end + 1 - from);
            }
        }
        return first;
    }

    private Stream<Long> everyUsableStart() {
        long from = Math.max(0, subnet.network().bits() + 1);
        return LongStream.rangeClosed(from, subnet.broadcast().bits())
                .limit(MOST_STARTS)
                .filter(this::usable)
                .boxed();
    }

    private Score score(long first) {
        int setMoved = 0;
        int plannedMoved = 0;
        for (RunPattern.Spot keyed : run.spots()) {
            Ipv4 wanted = new Ipv4(first + keyed.offset());
            AddressedDevice camera = devices.get(keyed.camera());
            boolean stays = camera.address().equals(Optional.of(wanted));
            Optional<AddressedDevice> displaced = others.at(wanted);
            int set =
                    (!stays && camera.set() ? 1 : 0)
                            + (displaced.filter(AddressedDevice::set).isPresent() ? 1 : 0);
            int all = (stays ? 0 : 1) + (displaced.isPresent() ? 1 : 0);
            setMoved += set;
            plannedMoved += all - set;
        }
        boolean outside =
                first < block.first().bits() || first + run.highest() > block.last().bits();
        return new Score(setMoved, plannedMoved, outside, first);
    }
}
