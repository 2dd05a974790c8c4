package app.jerboa.core.motion;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * A move from where a head points to another place in a wanted time, at one speed. A protocol has a
 * few speeds only: each reading of the position chooses the step that brings the head back to where
 * it should be, so that the speeds above and below alternate. Times are seconds since it began,
 * places as {@link MotionAxis} has them. Not safe for several threads.
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

    /** One axis from where it is to where it is to go. */
    public record Leg(double from, double to, SpeedScale scale) {}

    /**
     * One that came near stays there within so much more: the next slow step brings it no nearer.
     */
    private static final double STAYS = 1.6;

    /** A step is chosen for where it should be so much later: shorter is restless, longer lags. */
    private static final double AHEAD_SECONDS = 0.4;

    /** Near the end it must be quick to come to rest, and no quicker than a head can brake. */
    private static final double AHEAD_AT_THE_END_SECONDS = 0.15;

    /** The last bit of the way takes about so long: it is to be there by then. */
    private static final double EARLY_SECONDS = 0.4;

    /** A head that has not come there so long after its time will not. */
    private static final double LATE_SECONDS = 3;

    private final double seconds;
    private final Map<MotionAxis, Track> tracks = new EnumMap<>(MotionAxis.class);
    private double before;

    /**
     * @param legs of the axes that go; the others are told to stand
     */
    public SteadyMove(Map<MotionAxis, Leg> legs, double seconds) {
        this.seconds = seconds;
        legs.forEach((axis, leg) -> tracks.put(axis, new Track(leg, axis.near())));
    }

    /** Why it cannot be done; empty when it can. */
    public Optional<Refusal> refusal() {
        if (tracks.values().stream().allMatch(Track::isThere)) {
            return Optional.of(new Refusal(Cannot.THERE, 0));
        }
        double least = most(Track::leastSeconds);
        double most = most(Track::mostSeconds);
        if (!(seconds >= least)) {
            return Optional.of(new Refusal(Cannot.TOO_FAST, least));
        }
        return seconds > most ? Optional.of(new Refusal(Cannot.TOO_SLOW, most)) : Optional.empty();
    }

    private double most(ToDoubleFunction<Track> of) {
        return tracks.values().stream().mapToDouble(of).max().orElse(0);
    }

    /** The head said where it is; what it says of axes that do not go is passed over. */
    public void seen(MotionAxis axis, double at) {
        Optional.ofNullable(tracks.get(axis)).ifPresent(t -> t.seen(at));
    }

    /**
     * The steps to be told now; empty when it is there.
     *
     * @param at never less than the time before
     */
    public Optional<StickSpeeds.Steps> after(double at) {
        double passed = at - before;
        before = at;
        double left = seconds - EARLY_SECONDS - at;
        double ahead = Math.max(AHEAD_AT_THE_END_SECONDS, Math.min(AHEAD_SECONDS, left));
        double share = Math.min(1, (at + ahead) / (seconds - EARLY_SECONDS));
        Map<MotionAxis, Integer> steps = new EnumMap<>(MotionAxis.class);
        tracks.forEach(
                (axis, track) -> {
                    track.pass(passed);
                    steps.put(axis, track.choose(share, ahead));
                });
        boolean over =
                tracks.values().stream().allMatch(t -> t.stands) || at > seconds + LATE_SECONDS;
        return over && at > seconds - AHEAD_SECONDS ? Optional.empty() : Optional.of(of(steps));
    }

    private static StickSpeeds.Steps of(Map<MotionAxis, Integer> steps) {
        return new StickSpeeds.Steps(
                steps.getOrDefault(MotionAxis.PAN, 0),
                steps.getOrDefault(MotionAxis.TILT, 0),
                0,
                0,
                steps.getOrDefault(MotionAxis.ROLL, 0),
                steps.getOrDefault(MotionAxis.RAIL, 0));
    }

    /** One axis on its way. */
    private static final class Track {
        private final double from;
        private final double to;
        private final SpeedScale scale;
        private final double near;
        private double is;
        private int step;
        private boolean fresh = true;

        private boolean came;

        /** It came, was told to stand, and then said that it is there. */
        private boolean stands;

        Track(Leg leg, double near) {
            this.from = leg.from();
            this.to = leg.to();
            this.scale = leg.scale();
            this.near = near;
            this.is = from;
        }

        boolean isThere() {
            return Math.abs(to - is) <= near;
        }

        double leastSeconds() {
            return Math.abs(to - from) / scale.fastest();
        }

        double mostSeconds() {
            return isThere() ? 0 : Math.abs(to - from) / scale.slowest();
        }

        void seen(double at) {
            is = at;
            came &= Math.abs(to - is) <= STAYS * near;
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
