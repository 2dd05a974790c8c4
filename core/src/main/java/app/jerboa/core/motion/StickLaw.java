package app.jerboa.core.motion;

/**
 * How far a stick is pushed to how fast a head goes: a dead zone round the middle, then a
 * progressive curve so that small deflections creep, then a speed limit.
 *
 * @param deadZone share of the travel that does nothing, 0 to below 1
 * @param k bend of the curve: 0 is linear, 3 our default, at most 100
 * @param limit share of full speed at full deflection, above 0 to 1
 */
public record StickLaw(double deadZone, double k, double limit) {
    public static final double STEEPEST = 100;

    /** Below this bend the curve is a straight line to within double precision. */
    private static final double STRAIGHT = 1e-9;

    public StickLaw {
        if (!(deadZone >= 0 && deadZone < 1)) {
            throw new IllegalArgumentException("dead zone must be 0 to below 1, got " + deadZone);
        }
        if (!(k >= 0 && k <= STEEPEST)) {
            throw new IllegalArgumentException("k must be 0 to " + STEEPEST + ", got " + k);
        }
        if (!(limit > 0 && limit <= 1)) {
            throw new IllegalArgumentException("limit must be above 0 to 1, got " + limit);
        }
    }

    /** Our default: 8 % dead zone, k = 3, full speed. */
    public static StickLaw progressive() {
        return new StickLaw(0.08, 3, 1);
    }

    /** As our default, without the bend. */
    public static StickLaw linear() {
        return new StickLaw(progressive().deadZone(), 0, 1);
    }

    /** The same law with another speed limit. */
    public StickLaw limitedTo(double share) {
        return new StickLaw(deadZone, k, share);
    }

    /** Share of full speed, -1 to 1, for a deflection of -1 to 1; beyond that is cut off. */
    public double speed(double x) {
        double pushed = Math.min(1, Math.abs(x));
        if (pushed <= deadZone) {
            return 0;
        }
        double beyond = (pushed - deadZone) / (1 - deadZone);
        double curve = k < STRAIGHT ? beyond : Math.expm1(k * beyond) / Math.expm1(k);
        return Math.copySign(limit * curve, x);
    }

    /**
     * The protocol's speed step for a deflection: half is rounded up, and outside the dead zone it
     * is never 0, so that the slowest creep still creeps. The sign is kept.
     *
     * @param steps how many steps the protocol has, for example 24 for VISCA pan
     */
    public int step(double x, int steps) {
        double y = speed(x);
        if (Math.min(1, Math.abs(x)) <= deadZone) {
            return 0;
        }
        int step = (int) Math.max(1, Math.floor(Math.abs(y) * steps + 0.5));
        return x < 0 ? -step : step;
    }
}
