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

    /** When this take leaves air. */
    double end(int take) {
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
        if (from == to) {
            return 0;
        }
        return needed(from, to) - (takes.get(take).start() - end(before));
    }

    /** Seconds between two takes of one camera. */
    private double needed(int from, int to) {
        ShotPreset a = presets.get(from);
        return cameras.get(a.camera()).travel(a, presets.get(to)) + SETTLE_SECONDS;
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

    /** What cannot be, in order of takes. */
    public List<Late> late() {
        Map<Integer, Integer> last = new HashMap<>();
        List<Late> late = new ArrayList<>();
        for (int t = 0; t < takes.size(); t++) {
            int preset = takes.get(t).preset();
            Integer before = last.put(presets.get(preset).camera(), t);
            double by = before == null ? 0 : missing(before, takes.get(before).preset(), t, preset);
            if (by > HAIR) {
                late.add(new Late(t, by));
            }
        }
        return late;
    }

    /** A take that shows another preset. */
    public record Change(int take, int preset) {}

    /**
     * The fewest changes after which nothing is late, each to another preset of the same subject;
     * of several such sets that with the earliest takes, then with the presets that stand first.
     * Empty where nothing is late, and where none helps.
     */
    public List<Change> changes() {
        return late().isEmpty() ? List.of() : new FewestChanges(this).find();
    }
}
