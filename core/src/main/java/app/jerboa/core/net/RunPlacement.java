package app.jerboa.core.net;

import app.jerboa.core.value.DeviceId;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * Finds where a counting run starts: first of all on usable addresses, then moving the fewest
 * devices that are set on site, then the fewest planned ones, then inside the cameras' block, then
 * lowest.
 *
 * <p>A start some camera already agrees with is scored one by one; of the starts nobody agrees
 * with, only the lowest that displaces nobody can win, so the search stays O(n log n).
 */
final class RunPlacement {
    /** Beyond this many starts a full search is given up; a subnet that crowded has few anyway. */
    private static final long MOST_STARTS = 1 << 20;

    private record Score(int setMoved, int plannedMoved, boolean outsideBlock, long first)
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
    private final Obstacles blocked;
    private final Standing others;
    private final Map<DeviceId, AddressedDevice> devices;

    /**
     * @param blocked what no camera of the run may be given
     * @param others devices outside the run on usable addresses, which could make room
     */
    RunPlacement(
            RunPattern run,
            Ipv4Subnet subnet,
            Ipv4Range block,
            Obstacles blocked,
            Standing others,
            Map<DeviceId, AddressedDevice> devices) {
        this.run = run;
        this.subnet = subnet;
        this.block = block;
        this.blocked = blocked;
        this.others = others;
        this.devices = devices;
    }

    /** The address of the pattern's start, or empty when it fits nowhere. */
    Optional<Ipv4> first() {
        Optional<Score> agreed =
                startsSomeoneAgreesWith().stream()
                        .filter(this::usable)
                        .map(this::score)
                        .min(Comparator.naturalOrder());
        Optional<Score> best =
                agreed.filter(this::beatsMovingEveryone)
                        .or(
                                () ->
                                        Stream.concat(agreed.stream(), fresh())
                                                .min(Comparator.naturalOrder()));
        return best.map(s -> new Ipv4(s.first()));
    }

    /**
     * At a start nobody agrees with, every camera of the run moves; then there is no need to look.
     */
    private boolean beatsMovingEveryone(Score score) {
        int cameras = run.spots().size();
        int set = (int) run.spots().stream().filter(k -> devices.get(k.camera()).set()).count();
        return score.setMoved() < set
                || score.setMoved() == set && score.plannedMoved() < cameras - set;
    }

    private Stream<Score> fresh() {
        Optional<Long> anywhere = lowestUndisturbed(subnet.hosts());
        Stream<Long> starts =
                anywhere.isEmpty()
                        ? everyUsableStart()
                        : Stream.concat(lowestUndisturbed(block).stream(), anywhere.stream());
        return starts.map(this::score);
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
     * The lowest usable start that also displaces nobody, with all cameras within {@code range}.
     */
    private Optional<Long> lowestUndisturbed(Ipv4Range range) {
        long first = range.first().bits();
        while (first >= 0 && first + run.highest() <= range.last().bits()) {
            long here = nextUsable(first, blocked);
            long there = nextUsable(here, others);
            if (here == first && there == first) {
                return Optional.of(first);
            }
            first = Math.max(here, there);
        }
        return Optional.empty();
    }

    /** {@code first} itself, or the next start that clears whatever stands in the way of it. */
    private long nextUsable(long first, Obstacles obstacles) {
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
            while (i + 1 < cameras.size()
                    && cameras.get(i + 1).offset() <= cameras.get(i).offset() + 1) {
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
