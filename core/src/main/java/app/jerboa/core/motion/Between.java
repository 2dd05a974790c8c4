package app.jerboa.core.motion;

/**
 * Places that one axis is to stay between, in its unit; an infinite one is none.
 *
 * @param least below {@code most}
 */
public record Between(double least, double most) {
    /**
     * What passes between a place and the head obeying what was made of it: the reading is up to
     * 0.1 s old, the steps are chosen anew each 0.02 s, and the command is on its way.
     */
    private static final double LATE_SECONDS = 0.3;

    /**
     * @throws IllegalArgumentException for limits that leave nothing between them
     */
    public Between {
        if (!(least < most)) {
            throw new IllegalArgumentException(
                    "the least must be below the most, got " + least + " and " + most);
        }
    }

    /** How far a place is outside; 0 between them. */
    double beyond(double place) {
        return Math.max(0, Math.max(least - place, place - most));
    }

    /**
     * That step, slowed down before a limit and 0 at it; the way back is free. The fastest v that
     * still stops before it: v x delay + v² / 2a is what is left.
     *
     * @param step signed, away from {@code least} above 0
     * @param place where it said that it is
     * @param near so near is there
     * @param braking in units/s², above 0
     */
    int keep(int step, double place, double near, SpeedScale scale, double braking) {
        double left = step < 0 ? place - least : most - place;
        if (step == 0 || Double.isInfinite(left)) {
            return step;
        }
        double fastest =
                braking
                        * (Math.sqrt(LATE_SECONDS * LATE_SECONDS + 2 * Math.max(0, left) / braking)
                                - LATE_SECONDS);
        if (left <= near || fastest < scale.slowest()) {
            return 0;
        }
        int kept = Math.min(Math.abs(step), scale.stepWithin(fastest));
        return step < 0 ? -kept : kept;
    }
}
