package app.jerboa.core.net;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Where several counting runs start so that together they move the fewest devices: every start that
 * some camera agrees with is weighed against every such start of the other runs, best first, and
 * given up as soon as it cannot win; a run that agrees nowhere goes to the lowest place that is
 * free then. Exact for up to {@link #MOST_TOGETHER} runs, more than a hall has, while {@link
 * #MOST_TRIES} last; more runs are placed one after the other.
 */
final class RunsTogether {
    private static final int MOST_TOGETHER = 6;
    private static final int MOST_TRIES = 20_000;

    /**
     * What a choice costs: runs without a place, then devices set on site, then planned ones. Of
     * two that cost the same the one found first stays: runs are tried in their order, each at its
     * best start first.
     */
    private record Cost(int homeless, int setMoved, int plannedMoved) implements Comparable<Cost> {
        static final Cost NONE = new Cost(0, 0, 0);
        private static final Comparator<Cost> ORDER =
                Comparator.comparingInt(Cost::homeless)
                        .thenComparingInt(Cost::setMoved)
                        .thenComparingInt(Cost::plannedMoved);

        Cost plus(RunPlacement.Score score) {
            return plus(score.setMoved(), score.plannedMoved());
        }

        Cost plus(int set, int planned) {
            return new Cost(homeless, setMoved + set, plannedMoved + planned);
        }

        Cost plusHomeless() {
            return new Cost(homeless + 1, setMoved, plannedMoved);
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
    }

    private void boundWhatIsToCome() {
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
        if (runs.size() > MOST_TOGETHER) {
            return together.oneAfterTheOther();
        }
        together.boundWhatIsToCome();
        together.choose(0, Cost.NONE, new ArrayList<>());
        return together.best;
    }

    private Map<RunPattern, Long> oneAfterTheOther() {
        for (int i = 0; i < runs.size(); i++) {
            RunPlacement placement = placements.get(i);
            Optional<RunPlacement.Score> agreed = placement.agreed().stream().findFirst();
            boolean goodEnough =
                    agreed.filter(s -> s.compareTo(placement.allMoved()) < 0).isPresent();
            Stream<RunPlacement.Score> others =
                    goodEnough ? Stream.empty() : placement.fresh().stream();
            int run = i;
            Stream.concat(agreed.stream(), others)
                    .min(Comparator.naturalOrder())
                    .ifPresent(score -> put(run, score));
        }
        return starts;
    }

    private void choose(int i, Cost cost, List<Integer> later) {
        if (isGivenUp(cannotWin(cost.plus(setAtLeast[i], plannedAtLeast[i])))) {
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

    private boolean cannotWin(Cost cost) {
        return bestCost != null && cost.compareTo(bestCost) >= 0;
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
        while (starting.hasNext()
                && (bestCost == null || bestCost.compareTo(whenAllMove(k, cost, later)) > 0)) {
            RunPlacement.Score score = starting.next();
            if (!isGivenUp(cannotWin(cost.plus(score)))) {
                put(i, score);
                settle(k + 1, cost.plus(score), later);
                takeBack(i, score.first());
            } else if (tries > MOST_TRIES) {
                return;
            }
        }
    }

    /** With all runs from the k-th on moved and no other device: no place costs less. */
    private Cost whenAllMove(int k, Cost cost, List<Integer> later) {
        Cost all = cost;
        for (int i : later.subList(k, later.size())) {
            all = all.plus(placements.get(i).allMoved());
        }
        return all;
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
