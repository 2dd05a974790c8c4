package app.jerboa.core.bringup;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;

/**
 * A good order for many devices: of what can be done now, the task with the longest way to go
 * behind it comes first; rivals count with all that wait for them. O(n log n) in tasks.
 */
final class Greedy {
    /** How far urgencies are shifted to try other orders, either way. */
    private static final double SHIFT = 0.6;

    private static final int MOST_TRIES = 200;

    /** Tries times the square of the devices: fewer tries for more, none for very many. */
    private static final int EFFORT = 60_000;

    private final Problem problem;
    private final BooleanSupplier waits;
    private final double[] weights;
    private final State state;
    private final long[] urgency;
    private final int[] blockers;
    private final List<List<Integer>> followers = new ArrayList<>();
    private final List<PriorityQueue<Integer>> groups = new ArrayList<>();
    private final boolean[] offered;
    private final List<Integer> order = new ArrayList<>();

    /** By the laptop's place: those whose time has come by urgency, and those that wait by time. */
    private final Map<Integer, PriorityQueue<Integer>> due = new TreeMap<>();

    private final Map<Integer, PriorityQueue<Integer>> soon = new TreeMap<>();

    /**
     * @param waits whether to wait for something more urgent, asked each time
     * @param weights by which each chain's urgency is multiplied
     */
    private Greedy(Problem problem, BooleanSupplier waits, double[] weights) {
        this.problem = problem;
        this.waits = waits;
        this.weights = weights;
        this.state = new State(problem);
        int n = problem.chains().size();
        this.urgency = new long[n];
        this.blockers = new int[n];
        this.offered = new boolean[problem.groups()];
        for (int i = 0; i < n; i++) {
            followers.add(new ArrayList<>());
        }
        for (int g = 0; g < problem.groups(); g++) {
            groups.add(new PriorityQueue<>(Comparator.comparingLong(this::lateFirst)));
        }
    }

    /**
     * The best of many tries: always busy, always waiting when something more urgent is about to
     * come, or now this and now that, with the urgencies as they are or shifted a little. The same
     * problem always gives the same order.
     *
     * @throws IllegalArgumentException when devices wait for each other in a ring
     */
    static List<Integer> order(Problem problem) {
        int chains = problem.chains().size();
        double[] even = new double[chains];
        Arrays.fill(even, 1);
        List<Integer> best = better(problem, new Greedy(problem, () -> false, even), List.of());
        best = better(problem, new Greedy(problem, () -> true, even), best);
        Random random = new Random(chains);
        for (int i = 0; i < tries(chains); i++) {
            double[] shifted = random.doubles(chains, 1 - SHIFT, 1 + SHIFT).toArray();
            best = better(problem, new Greedy(problem, () -> false, shifted), best);
            best = better(problem, new Greedy(problem, () -> true, shifted), best);
            best = better(problem, new Greedy(problem, random::nextBoolean, shifted), best);
        }
        return best;
    }

    private static List<Integer> better(Problem problem, Greedy tried, List<Integer> known) {
        List<Integer> order = tried.run();
        boolean better = known.isEmpty() || Exact.end(problem, order) < Exact.end(problem, known);
        return better ? order : known;
    }

    /** What is ordered exactly afterwards needs no more than a start. */
    private static int tries(int chains) {
        return chains <= Exact.MOST ? 0 : Math.min(MOST_TRIES, EFFORT / (chains * chains));
    }

    private long lateFirst(int i) {
        return -urgency[i] * problem.chains().size() + i;
    }

    private List<Integer> run() {
        link();
        for (int i = 0; i < problem.chains().size(); i++) {
            if (!state.finished(i)) {
                enter(i);
            }
        }
        for (int g = 0; g < groups.size(); g++) {
            offerRival(g);
        }
        int next = pick();
        while (next >= 0) {
            take(next);
            next = pick();
        }
        for (int i = 0; i < problem.chains().size(); i++) {
            if (!state.finished(i)) {
                throw new IllegalArgumentException("devices wait for each other in a ring");
            }
        }
        return order;
    }

    private void link() {
        List<Chain> chains = problem.chains();
        long[] ofGroup = new long[groups.size()];
        for (int i = 0; i < chains.size(); i++) {
            Chain chain = chains.get(i);
            for (int before : chain.after()) {
                followers.get(before).add(i);
                blockers[i] += state.settled(before) ? 0 : 1;
            }
            urgency[i] = chain.tail(0);
            if (chain.rivals() >= 0) {
                ofGroup[chain.rivals()] += urgency[i];
            }
        }
        for (int i = 0; i < chains.size(); i++) {
            if (chains.get(i).rivals() >= 0) {
                urgency[i] = ofGroup[chains.get(i).rivals()];
            }
        }
        for (int i = 0; i < chains.size(); i++) {
            long more = followers.get(i).stream().mapToLong(f -> urgency[f]).max().orElse(0);
            urgency[i] += more;
        }
    }

    /** Puts a chain where it waits for its next task. */
    private void enter(int i) {
        Chain chain = problem.chains().get(i);
        if (state.next[i] != chain.opens()) {
            offer(i);
        } else if (blockers[i] == 0 && chain.rivals() >= 0) {
            groups.get(chain.rivals()).add(i);
        } else if (blockers[i] == 0) {
            offer(i);
        }
    }

    /** One rival of a group may be next, once none of it is connected. */
    private void offerRival(int g) {
        PriorityQueue<Integer> waiting = groups.get(g);
        if (!offered[g] && !waiting.isEmpty() && state.movable(waiting.peek())) {
            offered[g] = true;
            offer(waiting.poll());
        }
    }

    private void offer(int i) {
        soon.computeIfAbsent(
                        state.task(i).place(),
                        p -> new PriorityQueue<>(Comparator.comparingInt(this::readyAt)))
                .add(i);
    }

    /** When it can start apart from hops; fixed from when it is offered until it is taken. */
    private int readyAt(int i) {
        Task task = state.task(i);
        int at = task.besideBoot() ? 0 : state.bootOver[i];
        Chain chain = problem.chains().get(i);
        return state.next[i] == chain.opens() ? Math.max(at, state.opening(i)) : at;
    }

    private int pick() {
        int here = pickAt(state.place);
        if (here >= 0) {
            return here;
        }
        int best = -1;
        for (int place : soon.keySet()) {
            PriorityQueue<Integer> waiting = soon.get(place);
            PriorityQueue<Integer> ready = due.get(place);
            int candidate =
                    ready != null && !ready.isEmpty()
                            ? ready.peek()
                            : waiting.isEmpty() ? -1 : waiting.peek();
            if (candidate >= 0 && (best < 0 || rank(candidate) > rank(best))) {
                best = candidate;
            }
        }
        if (best >= 0) {
            withdraw(best);
        }
        return best;
    }

    private void withdraw(int i) {
        int place = state.task(i).place();
        PriorityQueue<Integer> ready = due.get(place);
        if (ready != null && !ready.isEmpty() && ready.peek() == i) {
            ready.poll();
        } else {
            soon.get(place).poll();
        }
    }

    /** What is best done without moving the laptop; -1 when nothing is left to do there. */
    private int pickAt(int place) {
        int due = mostUrgent(ripe(place), ripe(Task.ANYWHERE));
        int later = earliest(soon.get(place), soon.get(Task.ANYWHERE));
        boolean wait =
                due >= 0
                        && later >= 0
                        && readyAt(later) < state.now + state.task(due).seconds()
                        && rank(later) > rank(due)
                        && waits.getAsBoolean();
        int chosen = due < 0 || wait ? later : due;
        if (chosen >= 0) {
            withdraw(chosen);
        }
        return chosen;
    }

    private int ripe(int place) {
        PriorityQueue<Integer> waiting = soon.get(place);
        PriorityQueue<Integer> ready =
                due.computeIfAbsent(
                        place, p -> new PriorityQueue<>(Comparator.comparingLong(i -> -rank(i))));
        while (waiting != null && !waiting.isEmpty() && readyAt(waiting.peek()) <= state.now) {
            ready.add(waiting.poll());
        }
        return ready.isEmpty() ? -1 : ready.peek();
    }

    private int mostUrgent(int one, int other) {
        if (one < 0 || other < 0) {
            return Math.max(one, other);
        }
        return rank(one) >= rank(other) ? one : other;
    }

    private int earliest(PriorityQueue<Integer> one, PriorityQueue<Integer> other) {
        int first = one == null || one.isEmpty() ? -1 : one.peek();
        int second = other == null || other.isEmpty() ? -1 : other.peek();
        if (first < 0 || second < 0) {
            return Math.max(first, second);
        }
        return readyAt(first) <= readyAt(second) ? first : second;
    }

    /** A chain that holds up others counts with them until it is settled. */
    private long rank(int i) {
        Chain chain = problem.chains().get(i);
        long plain = state.settled(i) ? chain.tail(state.next[i]) : urgency[i];
        return Math.round(plain * weights[i]);
    }

    private void take(int i) {
        Chain chain = problem.chains().get(i);
        boolean settledBefore = state.settled(i);
        boolean opens = chain.rivals() >= 0 && state.next[i] == chain.opens();
        state.take(i);
        order.add(i);
        if (!state.finished(i)) {
            enter(i);
        }
        if (!settledBefore && state.settled(i)) {
            for (int f : followers.get(i)) {
                if (--blockers[f] == 0 && !state.finished(f)) {
                    enter(f);
                    int g = problem.chains().get(f).rivals();
                    if (g >= 0) {
                        offerRival(g);
                    }
                }
            }
        }
        if (opens) {
            offered[chain.rivals()] = false;
        }
        if (chain.rivals() >= 0) {
            offerRival(chain.rivals());
        }
    }
}
