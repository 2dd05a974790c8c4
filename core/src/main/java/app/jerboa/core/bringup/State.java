package app.jerboa.core.bringup;

import java.util.Arrays;

/**
 * How far a schedule under construction is. One technician, so work never overlaps; boots do.
 *
 * <p>The laptop may leave a place only when nothing there can go on: every factory subnet is
 * visited once unless a device there must wait for one elsewhere.
 */
final class State {
    private final Problem problem;
    final int[] next;

    /** When the boot of each chain is over, or was. */
    final int[] bootOver;

    private final int[] open;
    private final int[] free;
    int now;
    int place = Task.HOME;

    State(Problem problem) {
        this.problem = problem;
        int n = problem.chains().size();
        this.next = new int[n];
        this.bootOver = new int[n];
        this.open = new int[problem.groups()];
        this.free = new int[problem.groups()];
        for (int i = 0; i < n; i++) {
            Chain chain = problem.chains().get(i);
            bootOver[i] = chain.ready();
            if (chain.rivals() >= 0 && chain.opens() < 0) {
                hold(chain, chain.ready());
            }
        }
    }

    private void hold(Chain chain, int readyAt) {
        if (chain.frees() >= 0) {
            open[chain.rivals()]++;
        } else {
            free[chain.rivals()] = Math.max(free[chain.rivals()], readyAt);
        }
    }

    private State(State other) {
        problem = other.problem;
        next = other.next.clone();
        bootOver = other.bootOver.clone();
        open = other.open.clone();
        free = other.free.clone();
        now = other.now;
        place = other.place;
    }

    State copy() {
        return new State(this);
    }

    boolean finished(int chain) {
        return next[chain] == problem.chains().get(chain).size();
    }

    Task task(int chain) {
        return problem.chains().get(chain).tasks().get(next[chain]);
    }

    /** Nothing but time stands between this chain and its next task, wherever the laptop is. */
    boolean movable(int i) {
        Chain chain = problem.chains().get(i);
        if (next[i] != chain.opens()) {
            return true;
        }
        return (chain.rivals() < 0 || open[chain.rivals()] == 0)
                && chain.after().stream().allMatch(this::settled);
    }

    boolean settled(int i) {
        return next[i] > problem.chains().get(i).settles();
    }

    /** When the next task of a movable chain would start. */
    int start(int i) {
        Chain chain = problem.chains().get(i);
        Task task = task(i);
        int at = now;
        if (task.place() != Task.ANYWHERE && task.place() != place) {
            at += problem.hop();
        }
        if (!task.besideBoot()) {
            at = Math.max(at, bootOver[i]);
        }
        return next[i] == chain.opens() ? Math.max(at, opening(i)) : at;
    }

    /** From when a chain that has not opened may, as far as others are concerned. */
    int opening(int i) {
        Chain chain = problem.chains().get(i);
        int at = chain.rivals() >= 0 ? free[chain.rivals()] : 0;
        for (int before : chain.after()) {
            at = Math.max(at, bootOver[before]);
        }
        return at;
    }

    /** Does the next task of a movable chain. */
    void take(int i) {
        Chain chain = problem.chains().get(i);
        Task task = task(i);
        now = start(i) + task.seconds();
        if (task.place() != Task.ANYWHERE) {
            place = task.place();
        }
        if (task.boot() > 0 || !task.besideBoot()) {
            bootOver[i] = now + task.boot();
        }
        if (chain.rivals() >= 0 && next[i] == chain.opens()) {
            open[chain.rivals()]++;
        }
        if (chain.rivals() >= 0 && next[i] == chain.frees()) {
            open[chain.rivals()]--;
            free[chain.rivals()] = Math.max(free[chain.rivals()], bootOver[i]);
        }
        next[i]++;
    }

    /** When all would be done if nothing but the end were left. */
    int end() {
        if (!problem.verifiesLast()) {
            return now;
        }
        int home = now + (place == Task.HOME ? 0 : problem.hop());
        return Math.max(home, Arrays.stream(bootOver).max().orElse(0))
                + problem.verify() * next.length;
    }
}
