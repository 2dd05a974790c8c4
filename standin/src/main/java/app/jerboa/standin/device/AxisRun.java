package app.jerboa.standin.device;

/**
 * One axis that gathers speed and loses it again.
 *
 * @param place degrees
 * @param rate degrees a second, signed
 */
record AxisRun(double place, double rate) {
    private static final double STEP_SECONDS = 0.005;

    /** Longer than any move lasts; after it a head has long gathered its speed. */
    private static final int MOST_STEPS = 24_000;

    /**
     * @param force degrees a second gathered in a second; infinite for at once
     * @param toPlace {@code wanted} is a place and not a speed
     * @param fastest on the way to a place
     */
    AxisRun after(double seconds, double force, boolean toPlace, double wanted, double fastest) {
        AxisRun run = this;
        double left = seconds;
        for (int i = 0; i < MOST_STEPS && left > 0; i++) {
            boolean settled = toPlace ? run.place == wanted : run.rate == wanted;
            if (settled) {
                break;
            }
            double step = Double.isInfinite(force) ? left : Math.min(STEP_SECONDS, left);
            run = run.step(step, force, toPlace, wanted, fastest);
            left -= step;
        }
        return toPlace ? run : new AxisRun(run.place + run.rate * left, run.rate);
    }

    private AxisRun step(
            double seconds, double force, boolean toPlace, double wanted, double fastest) {
        double aimed = toPlace ? rateTowards(wanted, force, fastest) : wanted;
        double next =
                Double.isInfinite(force)
                        ? aimed
                        : rate + clamp(aimed - rate, -force * seconds, force * seconds);
        double by = next * seconds;
        boolean arrives = toPlace && Math.abs(wanted - place) <= Math.abs(by) + 1e-9;
        return arrives ? new AxisRun(wanted, 0) : new AxisRun(place + by, next);
    }

    /** As fast as it may be so that it can still stop there. */
    private double rateTowards(double wanted, double force, double fastest) {
        double way = wanted - place;
        double most = Math.min(fastest, Math.sqrt(2 * force * Math.abs(way)));
        return Math.copySign(most, way);
    }

    /** Held by its ends, where it has no speed any more. */
    AxisRun within(double least, double most) {
        double held = clamp(place, least, most);
        return held == place ? this : new AxisRun(held, 0);
    }

    private static double clamp(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }
}
