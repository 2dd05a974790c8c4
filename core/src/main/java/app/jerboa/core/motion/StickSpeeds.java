package app.jerboa.core.motion;

/**
 * From what a stick is pushed to the speed steps of one head, as time passes: law, limits, care
 * when zoomed in, and the ramp. Not safe for several threads.
 */
public final class StickSpeeds {
    /** Speed steps of a protocol: right, up, tele and far are positive, 0 stands. */
    public record Steps(int pan, int tilt, int zoom, int focus) {
        public static final Steps NONE = new Steps(0, 0, 0, 0);
    }

    /** A creep over a low limit still leaves a law something to bend. */
    private static final double LEAST_SHARE = 0.01;

    private final SpeedScale pan;
    private final SpeedScale tilt;
    private final int zoomSteps;
    private Feel feel;
    private double viewDegrees;
    private double panPushed;
    private double tiltPushed;
    private double zoomPushed;
    private double focusPushed;
    private double limit = 1;
    private double panNow;
    private double tiltNow;

    /**
     * @param pan degrees a second of each step; {@code tilt} alike
     * @param viewDegrees angle of view until another is told
     */
    public StickSpeeds(
            Feel feel, SpeedScale pan, SpeedScale tilt, int zoomSteps, double viewDegrees) {
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
     * @param x right of the middle, -1 to 1
     * @param y up
     * @param z tele
     * @param f far
     * @param share of all speeds, above 0 to 1
     */
    public void push(double x, double y, double z, double f, double share) {
        panPushed = x;
        tiltPushed = y;
        zoomPushed = z;
        focusPushed = f;
        limit = Math.max(LEAST_SHARE, Math.min(1, share));
    }

    /** Outside the dead zone on some axis. */
    public boolean isPushed() {
        return off(panPushed) || off(tiltPushed) || off(zoomPushed) || off(focusPushed);
    }

    private boolean off(double x) {
        return Math.min(1, Math.abs(x)) > feel.deadZone();
    }

    /** It stands: whatever comes next begins from nothing. */
    public void stand() {
        push(0, 0, 0, 0, limit);
        panNow = 0;
        tiltNow = 0;
    }

    /**
     * The steps to be told now.
     *
     * @param seconds since this was asked last, 0 or more
     */
    public Steps after(double seconds) {
        panNow = towards(panNow, wanted(panPushed, feel.speeds().pan(), pan), seconds);
        tiltNow = towards(tiltNow, wanted(tiltPushed, feel.speeds().tilt(), tilt), seconds);
        return new Steps(
                step(panNow, panPushed, pan.steps()),
                step(tiltNow, tiltPushed, tilt.steps()),
                feel.law().limitedTo(feel.speeds().zoom() * limit).step(zoomPushed, zoomSteps),
                feel.law().limitedTo(feel.speeds().focus() * limit).step(focusPushed, zoomSteps));
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
    private int step(double share, double pushed, int steps) {
        double sign = share != 0 ? share : off(pushed) ? pushed : 0;
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
