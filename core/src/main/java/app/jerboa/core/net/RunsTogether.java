package app.jerboa.core.net;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Where several counting runs start so that together they move the fewest devices: every start that
 * some camera agrees with is weighed against every such start of the other runs, best first, and
 * given up as soon as it cannot win; a run that agrees nowhere goes to the lowest place that is
 * free then. Exact while {@link #MOST_TRIES} last, which the runs of a hall do not come near;
 * beyond, the best that was found.
 */
final class RunsTogether {
    private static final int MOST_TRIES = 20_000;

    /** What a choice costs: runs without a place, devices set on site, planned ones; then order. */
    private record Cost(int homeless, int setMoved, int plannedMoved, int outside, long starts)
            implements Comparable<Cost> {
        static final Cost NONE = new Cost(0, 0, 0, 0, 0);
        private static final Comparator<Cost> ORDER =
                Comparator.comparingInt(Cost::homeless)
                        .thenComparingInt(Cost::setMoved)
                        .thenComparingInt(Cost::plannedMoved)
                        .thenComparingInt(Cost::outside)
                        .thenComparingLong(Cost::starts);

        Cost plus(RunPlacement.Score score) {
            return new Cost(
                    homeless,
                    setMoved + score.setMoved(),
                    plannedMoved + score.plannedMoved(),
                    outside + (score.outsideBlock() ? 1 : 0),
                    starts + score.first());
        }

        Cost plusHomeless() {
            return new Cost(homeless + 1, setMoved, plannedMoved, outside, starts);
        }

        /** With nothing but a bound on what is to come. */
        boolean canBeat(Cost best, int setAtLeast, int plannedAtLeast) {
            return new Cost(homeless, setMoved + setAtLeast, plannedMoved + plannedAtLeast, 0, 0)
                            .compareTo(best)
                    < 0;
        }

        @Override
        public int compareTo(Cost other) {
            return ORDER.compare(this, other);
        }
    }

    private final List<RunPattern> runs;
    private final List<RunPlacement> placements;
    private final Given given = new Given();
    private final int[] setAtLeast;
    private final int[] plannedAtLeast;
    private final Map<RunPattern, Long> starts = new HashMap<>();
    private Map<RunPattern, Long> best = Map.of();
    private Cost bestCost;
    private int tries;

    private RunsTogether(
            List<RunPattern> runs, Function<Given, Function<RunPattern, RunPlacement>> placing) {
        this.runs = runs;
        this.placements = runs.stream().map(placing.apply(given)).toList();
        this.setAtLeast = new int[runs.size() + 1];
        this.plannedAtLeast = new int[runs.size() + 1];
        for (int i = runs.size() - 1; i >= 0; i--) {
            RunPlacement.Score least = placements.get(i).atLeast();
            setAtLeast[i] = setAtLeast[i + 1] + least.setMoved();
            plannedAtLeast[i] = plannedAtLeast[i + 1] + least.plannedMoved();
        }
    }

    /**
     * @param placing how one run is placed beside what is given away already
     * @return the start of each run; one that is missing fits nowhere
     */
    static Map<RunPattern, Long> starts(
            List<RunPattern> runs, Function<Given, Function<RunPattern, RunPlacement>> placing) {
        RunsTogether together = new RunsTogether(runs, placing);
        together.choose(0, Cost.NONE, new ArrayList<>());
        return together.best;
    }

    private void choose(int i, Cost cost, List<Integer> later) {
        if (isGivenUp(cannotWin(cost, setAtLeast[i], plannedAtLeast[i]))) {
            return;
        }
        if (i == runs.size()) {
            settle(0, cost, later);
            return;
        }
        for (RunPlacement.Score score : placements.get(i).agreed()) {
            put(i, score);
            choose(i + 1, cost.plus(score), later);
            takeBack(i, score.first());
        }
        List<Integer> waiting = new ArrayList<>(later);
        waiting.add(i);
        choose(i + 1, cost, waiting);
    }

    /** It cannot win any more, or enough was tried. */
    private boolean isGivenUp(boolean hopeless) {
        return bestCost != null && (++tries > MOST_TRIES || hopeless);
    }

    private boolean cannotWin(Cost cost, int set, int planned) {
        return bestCost != null && !cost.canBeat(bestCost, set, planned);
    }

    /**
     * The runs that agree nowhere are placed around the others: at the lowest free place, and where
     * it is so crowded that this leaves another without one, at every other.
     */
    private void settle(int k, Cost cost, List<Integer> later) {
        if (k == later.size()) {
            if (bestCost == null || cost.compareTo(bestCost) < 0) {
                bestCost = cost;
                best = Map.copyOf(starts);
            }
            return;
        }
        int i = later.get(k);
        Stream<RunPlacement.Score> lowest = placements.get(i).fresh().stream();
        Iterator<RunPlacement.Score> starting =
                Stream.concat(lowest, placements.get(i).everywhere()).iterator();
        if (!starting.hasNext()) {
            settle(k + 1, cost.plusHomeless(), later);
        }
        while (starting.hasNext()) {
            RunPlacement.Score score = starting.next();
            if (!isGivenUp(cannotWin(cost.plus(score), 0, 0))) {
                put(i, score);
                settle(k + 1, cost.plus(score), later);
                takeBack(i, score.first());
            } else if (tries > MOST_TRIES) {
                return;
            }
        }
    }

    private void put(int i, RunPlacement.Score score) {
        starts.put(runs.get(i), score.first());
        given.give(runs.get(i), score.first());
    }

    private void takeBack(int i, long first) {
        starts.remove(runs.get(i));
        given.takeBack(runs.get(i), first);
    }
}
