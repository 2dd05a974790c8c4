package app.jerboa.core.shot;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Takes in order of start. A camera is on air until the next take starts, the last for its length;
 * then it needs its travel and {@link #SETTLE_SECONDS} before its own next take. Its first take is
 * always possible, and the same preset again needs nothing.
 */
public final class ShotList {
    /** After a move, before a picture may be shown. */
    public static final double SETTLE_SECONDS = 0.5;

    /** Of a list that is searched for changes. */
    private static final int MOST_TAKES = 200;

    private static final int MOST_PRESETS = 2_000;

    /** Less than this is rounding, not lateness. */
    static final double HAIR = 1e-9;

    /**
     * A take whose camera cannot be there.
     *
     * @param take from 0
     * @param seconds by which it is too late
     */
    public record Late(int take, double seconds) {}

    private final List<ShotCamera> cameras;
    private final List<ShotPreset> presets;
    private final List<Take> takes;

    /**
     * @param takes with starts that never fall
     * @throws IllegalArgumentException for takes out of order
     */
    public ShotList(List<ShotCamera> cameras, List<ShotPreset> presets, List<Take> takes) {
        this.cameras = List.copyOf(cameras);
        this.presets = List.copyOf(presets);
        this.takes = List.copyOf(takes);
        for (int i = 1; i < takes.size(); i++) {
            if (takes.get(i).start() < takes.get(i - 1).start()) {
                throw new IllegalArgumentException("take " + i + " starts before the one before");
            }
        }
    }

    public List<ShotPreset> presets() {
        return presets;
    }

    public List<Take> takes() {
        return takes;
    }

    /** That shows a take, by its place. */
    public int camera(int take) {
        return presets.get(takes.get(take).preset()).camera();
    }

    /** When this take leaves air, in seconds from the beginning. */
    public double end(int take) {
        return take + 1 < takes.size()
                ? takes.get(take + 1).start()
                : takes.get(take).start() + takes.get(take).seconds();
    }

    /**
     * Seconds by which a camera is too late for a take, not above 0 when it is in time.
     *
     * @param before its take before
     * @param from the preset it had there; {@code to} the one it needs
     */
    double missing(int before, int from, int take, int to) {
        return needed(from, to) - (takes.get(take).start() - end(before));
    }

    /**
     * Seconds between two takes of one camera; 0 for the same view again, and for one of which
     * nobody knows where it points.
     */
    public double needed(int from, int to) {
        ShotPreset a = presets.get(from);
        if (from == to || !a.known() || !presets.get(to).known()) {
            return 0;
        }
        return cameras.get(a.camera()).travel(a, presets.get(to)) + SETTLE_SECONDS;
    }

    /** The longest that a camera ever needs, in seconds, between any two of its presets. */
    public double longest(int camera) {
        return longest()[camera];
    }

    /** The longest that each camera ever needs, between any two of its presets. */
    double[] longest() {
        double[] longest = new double[cameras.size()];
        for (int a = 0; a < presets.size(); a++) {
            int camera = presets.get(a).camera();
            for (int b = 0; b < a; b++) {
                if (presets.get(b).camera() == camera) {
                    longest[camera] = Math.max(longest[camera], needed(a, b));
                }
            }
        }
        return longest;
    }

    /**
     * The way of one camera from one of its takes to its next.
     *
     * @param before its take before
     * @param needed seconds of travel and settling
     * @param free seconds between the two
     */
    public record Leg(int before, int take, double needed, double free) {
        /** Seconds that are missing; not above 0 when it is in time. */
        public double missing() {
            return needed == 0 ? 0 : needed - free;
        }

        public boolean late() {
            return missing() > HAIR;
        }
    }

    /** In order of takes; a camera's first has none. */
    public List<Leg> legs() {
        Map<Integer, Integer> last = new HashMap<>();
        List<Leg> legs = new ArrayList<>();
        for (int t = 0; t < takes.size(); t++) {
            int preset = takes.get(t).preset();
            Integer before = last.put(presets.get(preset).camera(), t);
            if (before != null) {
                double needed = needed(takes.get(before).preset(), preset);
                legs.add(new Leg(before, t, needed, takes.get(t).start() - end(before)));
            }
        }
        return legs;
    }

    /** What cannot be, in order of takes. */
    public List<Late> late() {
        return legs().stream().filter(Leg::late).map(l -> new Late(l.take(), l.missing())).toList();
    }

    /** A take that shows another preset. */
    public record Change(int take, int preset) {}

    /**
     * The fewest changes after which nothing is late, each to another preset of the same subject;
     * of several such sets that with the earliest takes, then with the presets that stand first.
     * Empty where nothing is late, where none helps, and where the list is too long to be searched:
     * a file may hold any number of takes, and its job must open.
     */
    public List<Change> changes() {
        boolean tooLong = takes.size() > MOST_TAKES || presets.size() > MOST_PRESETS;
        return tooLong || late().isEmpty() ? List.of() : new FewestChanges(this).find();
    }
}
