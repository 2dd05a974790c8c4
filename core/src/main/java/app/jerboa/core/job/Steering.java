package app.jerboa.core.job;

import app.jerboa.core.motion.Between;
import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.SoftLimits;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalInt;

/**
 * How every desk steers a head, whoever drives it.
 *
 * @param panRound a stick right is head left: it hangs so that its picture would go the wrong way
 * @param tiltRound a stick up is head down
 * @param softLimits in hundredths of a degree from its middle, right, up and clockwise positive, or
 *     centimetres from the start of its rail; one that is left out is none
 */
public record Steering(boolean panRound, boolean tiltRound, Map<SoftLimit, Integer> softLimits) {
    public static final Steering PLAIN = new Steering(false, false, Map.of());

    public Steering {
        softLimits = Map.copyOf(softLimits);
    }

    public OptionalInt softLimit(SoftLimit which) {
        Integer limit = softLimits.get(which);
        return limit == null ? OptionalInt.empty() : OptionalInt.of(limit);
    }

    public SoftLimits limits() {
        if (softLimits.isEmpty()) {
            return SoftLimits.NONE;
        }
        Map<MotionAxis, Between> of = new EnumMap<>(MotionAxis.class);
        for (MotionAxis axis : MotionAxis.values()) {
            SoftLimit least = SoftLimit.least(axis);
            SoftLimit most = SoftLimit.most(axis);
            if (softLimits.containsKey(least) || softLimits.containsKey(most)) {
                of.put(
                        axis,
                        new Between(
                                place(least, Double.NEGATIVE_INFINITY),
                                place(most, Double.POSITIVE_INFINITY)));
            }
        }
        return new SoftLimits(of);
    }

    private double place(SoftLimit which, double none) {
        Integer limit = softLimits.get(which);
        return limit == null ? none : limit / SoftLimit.HUNDREDTHS;
    }
}
