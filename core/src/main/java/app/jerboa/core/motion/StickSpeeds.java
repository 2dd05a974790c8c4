package app.jerboa.core.motion;

import java.util.Optional;

/**
 * From what a stick is pushed to the speed steps of one head, as time passes: law, limits, care
 * when zoomed in, and the ramp. Not safe for several threads.
 */
public final class StickSpeeds {
    /** Speed steps of a protocol, signed as a {@link Push} is; 0 stands. */
    public record Steps(int pan, int tilt, int zoom, int focus, int roll, int rail) {
        public static final Steps NONE = new Steps(0, 0, 0, 0, 0, 0);

        public static Steps of(int pan, int tilt) {
            return new Steps(pan, tilt, 0, 0, 0, 0);
        }

        public int of(MotionAxis axis) {
            return switch (axis) {
                case PAN -> pan;
                case TILT -> tilt;
                case ROLL -> roll;
                case RAIL -> rail;
            };
        }

        Steps with(MotionAxis axis, int step) {
            return switch (axis) {
                case PAN -> new Steps(step, tilt, zoom, focus, roll, rail);
                case TILT -> new Steps(pan, step, zoom, focus, roll, rail);
                case ROLL -> new Steps(pan, tilt, zoom, focus, step, rail);
                case RAIL -> new Steps(pan, tilt, zoom, focus, roll, step);
            };
        }
    }

    /** Axes beside pan and tilt, where a head has them: units a second of each step. */
    public record More(Optional<SpeedScale> roll, Optional<SpeedScale> rail) {
        public static final More NONE = new More(Optional.empty(), Optional.empty());
    }

    /** A creep over a low limit still leaves a law something to bend. */
    private static final double LEAST_SHARE = 0.01;

    private final SpeedScale pan;
    private final SpeedScale tilt;
    private final int zoomSteps;
    private final More more;
    private Feel feel;
    private double viewDegrees;
    private Push pushed = Push.CENTRE;
    private double limit = 1;
    private double panNow;
    private double tiltNow;
    private double rollNow;
    private double railNow;

    /**
     * @param pan degrees a second of each step; {@code tilt} alike
     * @param viewDegrees angle of view until another is told
     */
    public StickSpeeds(
            Feel feel,
            SpeedScale pan,
            SpeedScale tilt,
            int zoomSteps,
            More more,
            double viewDegrees) {
        this.more = more;
        this.feel = feel;
        this.pan = pan;
        this.tilt = tilt;
        this.zoomSteps = zoomSteps;
        this.viewDegrees = viewDegrees;
    }

    /** From now on; what is pushed goes on by it. */
    public void feel(Feel other) {
        feel = other;
    }

    /** The camera was zoomed: its horizontal angle of view in degrees, above 0. */
    public void view(double degrees) {
        viewDegrees = degrees;
    }

    /**
     * What is pushed of an axis that the head does not have is left out.
     *
     * @param share of all speeds, above 0 to 1
     */
    public void push(Push next, double share) {
        pushed =
                new Push(
                        next.pan(),
                        next.tilt(),
                        next.zoom(),
                        next.focus(),
                        more.roll().isPresent() ? next.roll() : 0,
                        more.rail().isPresent() ? next.rail() : 0);
        limit = Math.max(LEAST_SHARE, Math.min(1, share));
    }

    /** Outside the dead zone on some axis. */
    public boolean isPushed() {
        return off(pushed.pan())
                || off(pushed.tilt())
                || off(pushed.zoom())
                || off(pushed.focus())
                || off(pushed.roll())
                || off(pushed.rail());
    }

    private boolean off(double x) {
        return Math.min(1, Math.abs(x)) > feel.deadZone();
    }

    /** It stands: whatever comes next begins from nothing. */
    public void stand() {
        pushed = Push.CENTRE;
        panNow = 0;
        tiltNow = 0;
        rollNow = 0;
        railNow = 0;
    }

    /**
     * The steps to be told now.
     *
     * @param seconds since this was asked last, 0 or more
     */
    public Steps after(double seconds) {
        panNow = towards(panNow, wanted(pushed.pan(), feel.speeds().pan(), pan), seconds);
        tiltNow = towards(tiltNow, wanted(pushed.tilt(), feel.speeds().tilt(), tilt), seconds);
        rollNow = towards(rollNow, feel.law().limitedTo(limit).speed(pushed.roll()), seconds);
        railNow = towards(railNow, feel.law().limitedTo(limit).speed(pushed.rail()), seconds);
        return new Steps(
                step(panNow, pushed.pan(), pan.steps()),
                step(tiltNow, pushed.tilt(), tilt.steps()),
                feel.law().limitedTo(feel.speeds().zoom() * limit).step(pushed.zoom(), zoomSteps),
                feel.law().limitedTo(feel.speeds().focus() * limit).step(pushed.focus(), zoomSteps),
                step(rollNow, pushed.roll(), more.roll()),
                step(railNow, pushed.rail(), more.rail()));
    }

    private int step(double share, double push, Optional<SpeedScale> scale) {
        return scale.map(s -> step(share, push, s.steps())).orElse(0);
    }

    /** Share of full speed that a push comes to when its ramp is over. */
    private double wanted(double x, double share, SpeedScale scale) {
        double most = (double) mostStep(scale) / scale.steps();
        return feel.law().limitedTo(Math.min(share * limit, most)).speed(x);
    }

    /** The fastest step that still leaves the picture its time to cross. */
    private int mostStep(SpeedScale scale) {
        return feel.crossingSeconds() > 0
                ? scale.stepWithin(viewDegrees / feel.crossingSeconds())
                : scale.steps();
    }

    private double towards(double now, double wanted, double seconds) {
        if (feel.rampSeconds() <= 0) {
            return wanted;
        }
        double most = seconds / feel.rampSeconds();
        return now + Math.max(-most, Math.min(most, wanted - now));
    }

    /** Half is rounded up; a stick that is pushed, or a head that still runs out, never stands. */
    private int step(double share, double push, int steps) {
        double sign = share != 0 ? share : off(push) ? push : 0;
        if (sign == 0) {
            return 0;
        }
        int step = (int) Math.max(1, Math.floor(Math.abs(share) * steps + 0.5));
        return sign < 0 ? -step : step;
    }

    /** Degrees a second of a step, sign kept. */
    public double panPerSecond(int step) {
        return Math.copySign(pan.at(Math.abs(step)), step);
    }

    public double tiltPerSecond(int step) {
        return Math.copySign(tilt.at(Math.abs(step)), step);
    }

    /** Degrees a second; 0 for a head that does not roll. */
    public double rollPerSecond(int step) {
        return perSecond(more.roll(), step);
    }

    /** Metres a second; 0 for a head on no rail. */
    public double railPerSecond(int step) {
        return perSecond(more.rail(), step);
    }

    private static double perSecond(Optional<SpeedScale> scale, int step) {
        return scale.map(s -> Math.copySign(s.at(Math.abs(step)), step)).orElse(0.0);
    }

    /** Seconds in which the picture crosses at full deflection, when the ramp is over. */
    public double crossingSeconds() {
        int step =
                (int)
                        Math.max(
                                1,
                                Math.floor(
                                        wanted(1, feel.speeds().pan(), pan) * pan.steps() + 0.5));
        return viewDegrees / pan.at(step);
    }
}
