package app.jerboa.core.motion;

import java.util.Optional;

/**
 * A move from where a head points to another place in a wanted time, at one speed. A protocol has a
 * few speeds only: each reading of the position chooses the step that brings the head back to where
 * it should be, so that the speeds above and below alternate. Times are seconds since it began,
 * places degrees. Not safe for several threads.
 */
public final class SteadyMove {
    /** Why it cannot be. */
    public enum Cannot {
        /** It points there. */
        THERE,
        /** Its fastest step is slower. */
        TOO_FAST,
        /** Its slowest step is faster. */
        TOO_SLOW
    }

    /**
     * @param seconds the least or the most that it can take; 0 where it points there
     */
    public record Refusal(Cannot why, double seconds) {}

    /** So near is there; a head that tells tenths of a degree tells no better. */
    private static final double NEAR_DEGREES = 0.1;

    /** One that came so near stays there: the next slow step would bring it no nearer. */
    private static final double STAYS_DEGREES = 0.16;

    /** A step is chosen for where it should be so much later: shorter is restless, longer lags. */
    private static final double AHEAD_SECONDS = 0.4;

    /** Near the end it must be quick to come to rest, and no quicker than a head can brake. */
    private static final double AHEAD_AT_THE_END_SECONDS = 0.15;

    /** The last tenths of a degree take about so long: it is to be there by then. */
    private static final double EARLY_SECONDS = 0.4;

    /** A head that has not come there so long after its time will not. */
    private static final double LATE_SECONDS = 3;

    private final double seconds;
    private final Track pan;
    private final Track tilt;
    private double before;

    public SteadyMove(
            double panFrom,
            double tiltFrom,
            double panTo,
            double tiltTo,
            double seconds,
            SpeedScale panScale,
            SpeedScale tiltScale) {
        this.seconds = seconds;
        this.pan = new Track(panFrom, panTo, panScale);
        this.tilt = new Track(tiltFrom, tiltTo, tiltScale);
    }

    /** Why it cannot be done; empty when it can. */
    public Optional<Refusal> refusal() {
        if (pan.isThere() && tilt.isThere()) {
            return Optional.of(new Refusal(Cannot.THERE, 0));
        }
        double least = Math.max(pan.leastSeconds(), tilt.leastSeconds());
        double most = Math.max(pan.mostSeconds(), tilt.mostSeconds());
        if (!(seconds >= least)) {
            return Optional.of(new Refusal(Cannot.TOO_FAST, least));
        }
        return seconds > most ? Optional.of(new Refusal(Cannot.TOO_SLOW, most)) : Optional.empty();
    }

    /** The head said where it points. */
    public void seen(double panDegrees, double tiltDegrees) {
        pan.seen(panDegrees);
        tilt.seen(tiltDegrees);
    }

    /**
     * The steps to be told now; empty when it is there.
     *
     * @param at never less than the time before
     */
    public Optional<StickSpeeds.Steps> after(double at) {
        pan.pass(at - before);
        tilt.pass(at - before);
        before = at;
        double left = seconds - EARLY_SECONDS - at;
        double ahead = Math.max(AHEAD_AT_THE_END_SECONDS, Math.min(AHEAD_SECONDS, left));
        double share = Math.min(1, (at + ahead) / (seconds - EARLY_SECONDS));
        int panStep = pan.choose(share, ahead);
        int tiltStep = tilt.choose(share, ahead);
        boolean over = pan.stands && tilt.stands || at > seconds + LATE_SECONDS;
        return over && at > seconds - AHEAD_SECONDS
                ? Optional.empty()
                : Optional.of(StickSpeeds.Steps.of(panStep, tiltStep));
    }

    /** One axis on its way. */
    private static final class Track {
        private final double from;
        private final double to;
        private final SpeedScale scale;
        private double is;
        private int step;
        private boolean fresh = true;

        private boolean came;

        /** It came, was told to stand, and then said that it is there. */
        private boolean stands;

        Track(double from, double to, SpeedScale scale) {
            this.from = from;
            this.to = to;
            this.scale = scale;
            this.is = from;
        }

        boolean isThere() {
            return Math.abs(to - is) <= NEAR_DEGREES;
        }

        double leastSeconds() {
            return Math.abs(to - from) / scale.fastest();
        }

        double mostSeconds() {
            return isThere() ? 0 : Math.abs(to - from) / scale.slowest();
        }

        void seen(double degrees) {
            is = degrees;
            came &= Math.abs(to - is) <= STAYS_DEGREES;
            stands = came && step == 0;
            fresh = true;
        }

        /** Between readings it goes on as it was told. */
        void pass(double time) {
            is += Math.copySign(scale.at(Math.abs(step)), step) * time;
        }

        /** Another step only after a reading, but for the last ones: those must not come late. */
        int choose(double share, double ahead) {
            came |= isThere() && share >= 1;
            if (came) {
                step = 0;
            } else if (fresh || share >= 1) {
                step = nearest((from + (to - from) * share - is) / ahead);
                fresh = false;
            }
            return step;
        }

        private int nearest(double speed) {
            double wanted = Math.abs(speed);
            int below = scale.stepWithin(wanted);
            boolean creeps = wanted > scale.slowest() / 2;
            boolean up =
                    below < scale.steps()
                            && scale.at(below + 1) - wanted < wanted - scale.at(below);
            int chosen = creeps ? (up ? below + 1 : below) : 0;
            return speed < 0 ? -chosen : chosen;
        }
    }
}
