package app.jerboa.core.shot;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/**
 * Looks for the fewest changes of a shot list, exactly. It goes through the takes in order and
 * remembers, for each camera, the take it did last: what is too long ago to matter is forgotten, so
 * that few situations differ, and one that led nowhere is not looked at twice. It begins with the
 * last take alone, then the last two: no search goes on with less than the rest alone would need.
 */
final class FewestChanges {
    /** Situations of one search; beyond that it is given up, and nothing is offered. */
    private static final int MOST_SITUATIONS = 300_000;

    private static final int NONE = -1;

    /** What is decided of a take beforehand. */
    private static final int OPEN = -2;

    private final ShotList list;
    private final int takes;
    private final double[] longest;
    private final List<List<Integer>> others;

    /** For each take: {@link #OPEN}, its own preset, or one that it must have. */
    private final int[] fixed;

    /** Takes that must change, to whatever. */
    private final boolean[] changed;

    /** Changes that the takes from here on need at least, were all cameras free. */
    private final int[] least;

    private int looked;

    FewestChanges(ShotList list) {
        this.list = list;
        this.takes = list.takes().size();
        this.longest = list.longest();
        this.others = new ArrayList<>();
        list.takes().forEach(t -> others.add(others(t.preset())));
        this.fixed = new int[takes];
        Arrays.fill(fixed, OPEN);
        this.changed = new boolean[takes];
        this.least = new int[takes + 1];
    }

    /** Other presets of the same subject, in their order. */
    private List<Integer> others(int own) {
        List<Integer> found = new ArrayList<>();
        for (int p = 0; p < list.presets().size(); p++) {
            boolean same =
                    list.presets().get(p).subject().equals(list.presets().get(own).subject());
            if (p != own && same && list.presets().get(p).known()) {
                found.add(p);
            }
        }
        return found;
    }

    List<ShotList.Change> find() {
        Set<Situation> hopeless = new HashSet<>();
        for (int t = takes - 1; t >= 0; t--) {
            int budget = least[t + 1];
            while (budget <= takes - t && !from(t, free(), budget, hopeless)) {
                budget++;
            }
            if (budget > takes - t || looked > MOST_SITUATIONS) {
                return List.of();
            }
            least[t] = budget;
        }
        List<ShotList.Change> changes = earliest(least[0]);
        return looked > MOST_SITUATIONS ? List.of() : changes;
    }

    /** Which takes, the earliest that can be; then which presets, the first that can be. */
    private List<ShotList.Change> earliest(int fewest) {
        int left = fewest;
        for (int t = 0; t < takes && left > 0; t++) {
            changed[t] = true;
            if (possible(fewest)) {
                left--;
            } else {
                changed[t] = false;
                fixed[t] = own(t);
            }
        }
        List<ShotList.Change> changes = new ArrayList<>();
        for (int t = 0; t < takes; t++) {
            if (changed[t]) {
                changes.add(new ShotList.Change(t, first(t, fewest)));
            }
        }
        return changes;
    }

    private int first(int take, int fewest) {
        for (int preset : others.get(take)) {
            fixed[take] = preset;
            if (possible(fewest)) {
                return preset;
            }
        }
        // Only where the search was given up: what comes of it is not offered.
        return own(take);
    }

    private int own(int take) {
        return list.takes().get(take).preset();
    }

    /** With so many changes at most, and what is decided already, nothing is late. */
    private boolean possible(int budget) {
        return from(0, free(), budget, new HashSet<>());
    }

    /** No camera did anything yet. */
    private int[] free() {
        int[] last = new int[2 * longest.length];
        Arrays.fill(last, NONE);
        return last;
    }

    /** Where a search stands; {@code last} is take and preset of each camera. */
    private static final class Situation {
        private final int take;
        private final int budget;
        private final int[] last;

        Situation(int take, int budget, int[] last) {
            this.take = take;
            this.budget = budget;
            this.last = last;
        }

        @Override
        public boolean equals(Object o) {
            return o instanceof Situation s
                    && s.take == take
                    && s.budget == budget
                    && Arrays.equals(s.last, last);
        }

        @Override
        public int hashCode() {
            return Objects.hash(take, budget, Arrays.hashCode(last));
        }
    }

    private boolean from(int take, int[] last, int budget, Set<Situation> hopeless) {
        if (take == takes) {
            return true;
        }
        if (budget < least[take]) {
            return false;
        }
        Situation here = new Situation(take, budget, forgotten(last, take));
        if (hopeless.contains(here) || ++looked > MOST_SITUATIONS) {
            return false;
        }
        boolean keeps = !changed[take] && (fixed[take] == OPEN || fixed[take] == own(take));
        if (keeps && fits(take, own(take), here, budget, hopeless)) {
            return true;
        }
        if (budget > 0 && fixed[take] != own(take)) {
            for (int preset : others.get(take)) {
                boolean open = fixed[take] == OPEN || fixed[take] == preset;
                if (open && fits(take, preset, here, budget - 1, hopeless)) {
                    return true;
                }
            }
        }
        hopeless.add(here);
        return false;
    }

    private boolean fits(
            int take, int preset, Situation here, int budget, Set<Situation> hopeless) {
        int at = 2 * list.presets().get(preset).camera();
        boolean late =
                here.last[at] != NONE
                        && list.missing(here.last[at], here.last[at + 1], take, preset)
                                > ShotList.HAIR;
        if (late) {
            return false;
        }
        int[] next = here.last.clone();
        next[at] = take;
        next[at + 1] = preset;
        return from(take + 1, next, budget, hopeless);
    }

    /** A camera that had time for its longest way is as good as one that did nothing yet. */
    private int[] forgotten(int[] last, int take) {
        int[] kept = last.clone();
        double start = list.takes().get(take).start();
        for (int c = 0; c < longest.length; c++) {
            if (kept[2 * c] != NONE && start - list.end(kept[2 * c]) >= longest[c]) {
                kept[2 * c] = NONE;
                kept[2 * c + 1] = NONE;
            }
        }
        return kept;
    }
}
