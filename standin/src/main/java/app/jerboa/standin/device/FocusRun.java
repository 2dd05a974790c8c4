package app.jerboa.standin.device;

import app.jerboa.core.knob.Knob;
import java.time.Duration;
import java.time.Instant;
import java.util.OptionalInt;

/**
 * A focus motor that runs or goes to a place.
 *
 * @param share of its knob's range a second, far above 0; 0 while it stands
 * @param to where it goes; empty while it runs until it is told to stop
 * @param place where it was at {@code asOf}
 */
record FocusRun(double share, OptionalInt to, int place, double exact, Instant asOf) {
    static final FocusRun STANDING = new FocusRun(0, OptionalInt.empty(), 0, -1, Instant.EPOCH);
    private static final double TO_A_PLACE = 0.7;

    static FocusRun going(double share, Instant now) {
        return new FocusRun(share, OptionalInt.empty(), 0, -1, now);
    }

    static FocusRun to(int place, Instant now) {
        return new FocusRun(TO_A_PLACE, OptionalInt.of(place), 0, -1, now);
    }

    boolean running() {
        return share != 0;
    }

    boolean toPlace() {
        return to.isPresent();
    }

    /**
     * The same motor a moment later.
     *
     * @param knobAt where its knob stands
     */
    FocusRun at(Instant now, int knobAt, Knob knob) {
        if (!running()) {
            return this;
        }
        double from = exact < 0 ? knobAt : exact;
        double by =
                share
                        * (knob.most() - knob.least())
                        * Math.max(0, Duration.between(asOf, now).toNanos() / 1e9);
        double next = to.isPresent() ? towards(from, to.getAsInt(), by) : from + by;
        double held = Math.max(knob.least(), Math.min(knob.most(), next));
        int whole = (int) Math.round(held);
        boolean there = to.isPresent() && held == to.getAsInt();
        return there
                ? new FocusRun(0, OptionalInt.empty(), whole, -1, now)
                : new FocusRun(share, to, whole, held, now);
    }

    private static double towards(double from, double to, double by) {
        return Math.abs(to - from) <= by ? to : from + Math.copySign(by, to - from);
    }
}
