package app.jerboa.core.bringup;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The least time of all orders, by branch and bound: an order is given up when it cannot beat the
 * best one known, or when another got as far with nothing later. Meant for few devices.
 */
final class Exact {
    /** So many devices are ordered exactly. */
    static final int MOST = 6;

    /** Beyond this the best order found so far is taken; six devices need far fewer. */
    private static final int MOST_LOOKS = 400_000;

    private record Stage(List<Integer> next, int place) {}

    private final Problem problem;
    private final int[] likeEarlier;
    private final Map<Stage, List<int[]>> seen = new HashMap<>();
    private final List<Integer> path = new ArrayList<>();
    private List<Integer> best;
    private int bestEnd;
    private int looks;

    private Exact(Problem problem, List<Integer> known) {
        this.problem = problem;
        this.best = known;
        this.bestEnd = end(problem, known);
        this.likeEarlier = likeEarlier(problem.chains());
    }

    /**
     * What was found.
     *
     * @param order the chains in the order in which their tasks are done
     * @param proved the search came to its end, so no order takes less time
     */
    record Found(List<Integer> order, boolean proved) {}

    /**
     * @param known any valid order, to beat
     */
    static Found order(Problem problem, List<Integer> known) {
        Exact exact = new Exact(problem, known);
        exact.look(new State(problem));
        return new Found(exact.best, exact.looks <= MOST_LOOKS);
    }

    static int end(Problem problem, List<Integer> order) {
        State state = new State(problem);
        order.forEach(state::take);
        return state.end();
    }

    private void look(State state) {
        if (++looks > MOST_LOOKS || bound(state) >= bestEnd || beaten(state)) {
            return;
        }
        List<Integer> moves = moves(state);
        if (moves.isEmpty()) {
            if (state.end() < bestEnd) {
                bestEnd = state.end();
                best = List.copyOf(path);
            }
            return;
        }
        for (int i : moves) {
            State after = state.copy();
            after.take(i);
            path.add(i);
            look(after);
            path.remove(path.size() - 1);
        }
    }

    private List<Integer> moves(State state) {
        List<Integer> movable = new ArrayList<>();
        boolean here = false;
        for (int i = 0; i < state.next.length; i++) {
            if (!state.finished(i) && state.movable(i)) {
                movable.add(i);
                here |= state.task(i).place() == state.place;
            }
        }
        boolean mustStay = here;
        return movable.stream()
                .filter(i -> !mustStay || near(state, i))
                .filter(i -> !waitsBehindItsLike(state, i))
                .sorted(Comparator.comparingInt(state::start))
                .toList();
    }

    private static boolean near(State state, int i) {
        int place = state.task(i).place();
        return place == Task.ANYWHERE || place == state.place;
    }

    private boolean waitsBehindItsLike(State state, int i) {
        return state.next[i] == 0 && likeEarlier[i] >= 0 && state.next[likeEarlier[i]] == 0;
    }

    /** For each chain the last earlier one that is just the same to all others, or -1. */
    private static int[] likeEarlier(List<Chain> chains) {
        int[] like = new int[chains.size()];
        Arrays.fill(like, -1);
        for (int i = 0; i < like.length; i++) {
            for (int j = i - 1; j >= 0 && like[i] < 0; j--) {
                if (chains.get(i).equals(chains.get(j)) && sameFollowers(chains, i, j)) {
                    like[i] = j;
                }
            }
        }
        return like;
    }

    private static boolean sameFollowers(List<Chain> chains, int i, int j) {
        return chains.stream().allMatch(c -> c.after().contains(i) == c.after().contains(j));
    }

    /** No order that goes on from here ends before this. */
    private int bound(State state) {
        int work = 0;
        int latest = state.now;
        int[] waiting = new int[problem.groups()];
        int[] held = new int[problem.groups()];
        for (int i = 0; i < state.next.length; i++) {
            Chain chain = problem.chains().get(i);
            for (int k = state.next[i]; k < chain.size(); k++) {
                work += chain.tasks().get(k).seconds();
            }
            latest = Math.max(latest, over(state, i));
            if (chain.rivals() >= 0) {
                rivals(state, i, waiting, held);
            }
        }
        for (int g = 0; g < waiting.length; g++) {
            latest = Math.max(latest, Math.max(state.now, held[g]) + waiting[g]);
        }
        return Math.max(state.now + work, latest)
                + (problem.verifiesLast() ? problem.verify() * state.next.length : 0);
    }

    /** When this chain alone would be over. */
    private int over(State state, int i) {
        if (state.finished(i)) {
            return problem.verifiesLast() ? state.bootOver[i] : state.now;
        }
        Chain chain = problem.chains().get(i);
        int lastBoot = problem.verifiesLast() ? chain.tasks().get(chain.size() - 1).boot() : 0;
        return Math.max(state.now, readyAt(state, i)) + chain.tail(state.next[i]) + lastBoot;
    }

    private static int readyAt(State state, int i) {
        return state.task(i).besideBoot() ? state.now : state.bootOver[i];
    }

    /** Rivals that have not opened come one after the other, after the one that is open. */
    private void rivals(State state, int i, int[] waiting, int[] held) {
        Chain chain = problem.chains().get(i);
        int next = state.next[i];
        if (next <= chain.opens()) {
            waiting[chain.rivals()] += span(chain, chain.opens());
        } else if (next <= chain.frees()) {
            int from = Math.max(state.now, readyAt(state, i));
            held[chain.rivals()] = Math.max(held[chain.rivals()], from + span(chain, next));
        }
    }

    private static int span(Chain chain, int from) {
        int sum = 0;
        for (int k = from; k <= chain.frees(); k++) {
            sum += chain.tasks().get(k).seconds() + chain.tasks().get(k).boot();
        }
        return sum;
    }

    private boolean beaten(State state) {
        int[] here = new int[state.bootOver.length + 1];
        here[0] = state.now;
        for (int i = 0; i < state.bootOver.length; i++) {
            here[i + 1] = Math.max(state.now, state.bootOver[i]);
        }
        Stage stage = new Stage(Arrays.stream(state.next).boxed().toList(), state.place);
        List<int[]> others = seen.computeIfAbsent(stage, s -> new ArrayList<>());
        if (others.stream().anyMatch(o -> noLater(o, here))) {
            return true;
        }
        others.removeIf(o -> noLater(here, o));
        others.add(here);
        return false;
    }

    private static boolean noLater(int[] one, int[] other) {
        for (int i = 0; i < one.length; i++) {
            if (one[i] > other[i]) {
                return false;
            }
        }
        return true;
    }
}
