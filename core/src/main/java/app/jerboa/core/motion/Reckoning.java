package app.jerboa.core.motion;

import java.util.EnumMap;
import java.util.Map;

/**
 * How far a head was told to go: with where it last said that it was, where it may be by now. What
 * it says is older than its coming, by as much as a network or a machine is late. Places are in
 * degrees and metres, times in seconds of one clock.
 */
public final class Reckoning {
    private final Map<MotionAxis, Double> gone = new EnumMap<>(MotionAxis.class);
    private Map<MotionAxis, Double> perSecond = Map.of();
    private double since;

    /**
     * From now on it is told to go so fast.
     *
     * @param speeds signed; an axis that is left out stands
     */
    public void goes(Map<MotionAxis, Double> speeds, double now) {
        gone.putAll(gone(now));
        perSecond = Map.copyOf(speeds);
        since = now;
    }

    /** How far it was told to go by now, since the beginning. */
    public Map<MotionAxis, Double> gone(double now) {
        Map<MotionAxis, Double> all = new EnumMap<>(MotionAxis.class);
        all.putAll(gone);
        perSecond.forEach((axis, speed) -> all.merge(axis, speed * (now - since), Double::sum));
        return all;
    }

    /**
     * Where it may be by now.
     *
     * @param said where it said that it was
     * @param then how far it was told to go when it was asked
     */
    public Map<MotionAxis, Double> from(
            Map<MotionAxis, Double> said, Map<MotionAxis, Double> then, double now) {
        Map<MotionAxis, Double> whole = gone(now);
        Map<MotionAxis, Double> all = new EnumMap<>(MotionAxis.class);
        said.forEach(
                (axis, place) ->
                        all.put(
                                axis,
                                place
                                        + whole.getOrDefault(axis, 0.0)
                                        - then.getOrDefault(axis, 0.0)));
        return all;
    }
}
