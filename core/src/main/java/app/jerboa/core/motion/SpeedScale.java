package app.jerboa.core.motion;

import app.jerboa.core.value.Fact;

/**
 * What a protocol's speed steps mean on one axis of one profile: step 1 is the slowest, the last
 * step the fastest, and each step is the same factor above the one before.
 *
 * @param slowest degrees (or any unit) per second at step 1, above 0
 * @param fastest the same at the last step
 * @param steps how many steps, at least 1
 */
public record SpeedScale(
        @Fact(value = "Slowest", least = 0.000_1, most = 1000) double slowest,
        @Fact(value = "Fastest", least = 0.000_1, most = 1000) double fastest,
        @Fact(value = "Steps", least = 1, most = 255) int steps) {
    public SpeedScale {
        if (!(slowest > 0 && slowest <= fastest) || steps < 1) {
            throw new IllegalArgumentException(
                    "0 < slowest <= fastest and steps >= 1, got "
                            + slowest
                            + ", "
                            + fastest
                            + ", "
                            + steps);
        }
    }

    /** Speed at a step; 0 stands still, beyond the last is the last. */
    public double at(int step) {
        if (step <= 0) {
            return 0;
        }
        if (steps == 1) {
            return fastest;
        }
        double share = (double) (Math.min(step, steps) - 1) / (steps - 1);
        return slowest * Math.pow(fastest / slowest, share);
    }

    /** The fastest step that is no faster than this, 1 at least. */
    public int stepWithin(double perSecond) {
        int step = steps;
        while (step > 1 && at(step) > perSecond) {
            step--;
        }
        return step;
    }
}
