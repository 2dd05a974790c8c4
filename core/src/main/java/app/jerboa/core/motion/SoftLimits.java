package app.jerboa.core.motion;

import java.util.Map;

/**
 * How far a head is to go, narrower than it can: degrees from its middle, right, up and clockwise
 * as it sees positive, and metres from the start of its rail. An axis that is left out has none.
 */
public record SoftLimits(Map<MotionAxis, Between> of) {
    public static final SoftLimits NONE = new SoftLimits(Map.of());

    /** A head whose profile does not say how it brakes is taken for a slow one, in degrees/s². */
    public static final double USUAL_BRAKING = 90;

    /** A place this many times as far from a limit as a head can tell places apart is at it. */
    private static final double NEAR = 1.5;

    public SoftLimits {
        of = Map.copyOf(of);
    }

    public boolean isNone() {
        return of.isEmpty();
    }

    /** As far as a place is said. */
    public boolean holds(Map<MotionAxis, Double> place) {
        return beyond(place) == 0;
    }

    /**
     * How far a place is outside, on the axis where that is most; 0 between them. One is as far as
     * a head can tell places apart: 0.1 degrees, 5 mm. An axis whose place is not said is inside.
     */
    public double beyond(Map<MotionAxis, Double> place) {
        double most = 0;
        for (Map.Entry<MotionAxis, Between> e : of.entrySet()) {
            Double at = place.get(e.getKey());
            if (at != null) {
                most = Math.max(most, e.getValue().beyond(at) / e.getKey().near());
            }
        }
        return most;
    }

    /**
     * Those steps, slowed down before a limit and 0 at it; the way back is free. An axis with a
     * limit stands as long as its place is not said.
     *
     * @param place where it said that it is
     * @param drives of the axes that it has
     */
    public StickSpeeds.Steps keep(
            StickSpeeds.Steps wanted,
            Map<MotionAxis, Double> place,
            Map<MotionAxis, AxisDrive> drives) {
        StickSpeeds.Steps kept = wanted;
        for (Map.Entry<MotionAxis, Between> e : of.entrySet()) {
            MotionAxis axis = e.getKey();
            Double at = place.get(axis);
            AxisDrive drive = drives.get(axis);
            boolean known = at != null && drive != null;
            kept =
                    kept.with(
                            axis,
                            known
                                    ? e.getValue()
                                            .keep(
                                                    wanted.of(axis),
                                                    at,
                                                    NEAR * axis.near(),
                                                    drive.scale(),
                                                    drive.braking())
                                    : 0);
        }
        return kept;
    }
}
