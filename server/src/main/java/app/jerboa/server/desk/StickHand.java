package app.jerboa.server.desk;

import app.jerboa.core.motion.AxisDrive;
import app.jerboa.core.motion.Feel;
import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.Push;
import app.jerboa.core.motion.Reckoning;
import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.motion.SteadyMove;
import app.jerboa.core.motion.StickSpeeds;
import app.jerboa.wire.link.session.HeadLink;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The hand that is at a head: a stick that is pushed, or a move that a page keeps going. After a
 * stop from elsewhere it must let go before it drives again. Times are nanoseconds of one clock.
 * Whoever holds the desk's lock calls it.
 */
final class StickHand {
    private static final double NANOS = 1e9;

    /** A move that a page keeps going. */
    private record KeptMove(long number, SteadyMove move, long begun) {}

    private Feel feel;
    private StickSpeeds speeds;
    private SoftLimits limits = SoftLimits.NONE;
    private Optional<Pointing> pointing = Optional.empty();

    /** Over all its heads: a question may be out while one is given back and taken again. */
    private final Reckoning reckoning = new Reckoning();

    /** How far it was told to go when it was asked where it points. */
    private Map<MotionAxis, Double> goneThen = Map.of();

    private final Map<MotionAxis, AxisDrive> drives = new EnumMap<>(MotionAxis.class);
    private KeptMove going;
    private boolean off;
    private boolean mustLetGo;
    private long lastSign;
    private long rampedAt;

    /** At this head from now on: what is held already must be let go first. */
    void takes(CameraLink camera, Feel driver) {
        HeadLink.Abilities can = camera.link().can();
        StickSpeeds.More more = HeadAxes.speeds(camera.head());
        SpeedScale pan = scale(camera.head().pan(), can.panSteps());
        SpeedScale tilt = scale(camera.head().tilt(), can.tiltSteps());
        double braking = camera.head().acceleration().orElse(SoftLimits.USUAL_BRAKING);
        drives.clear();
        drives.put(MotionAxis.PAN, new AxisDrive(pan, braking));
        drives.put(MotionAxis.TILT, new AxisDrive(tilt, braking));
        more.roll().ifPresent(s -> drives.put(MotionAxis.ROLL, AxisDrive.of(s)));
        more.rail().ifPresent(s -> drives.put(MotionAxis.RAIL, AxisDrive.of(s)));
        // Until it says how far it is zoomed, it may be all the way; one that never says is wide.
        double view = camera.head().lens().angleDegrees(can.tells() ? 1 : 0);
        feel = driver;
        speeds = new StickSpeeds(feel, pan, tilt, can.zoomSteps(), more, view);
        pointing = Optional.empty();
        going = null;
        insistOnLettingGo();
    }

    /** Between these it is to point. */
    void limits(SoftLimits other) {
        limits = other;
    }

    /** It goes by where the head says that it points: it must go on saying so. */
    boolean needsReading() {
        return going != null || !limits.isNone();
    }

    private static SpeedScale scale(SpeedScale of, int steps) {
        return new SpeedScale(of.slowest(), of.fastest(), steps);
    }

    void feel(Feel other) {
        feel = other;
        speeds.feel(other);
    }

    /**
     * How fast its driver has it go to a stored view.
     *
     * @param steps that the camera has for that, if any
     */
    OptionalInt recallStep(OptionalInt steps) {
        return steps.isPresent()
                ? OptionalInt.of(feel.speeds().recallStep(steps.getAsInt()))
                : OptionalInt.empty();
    }

    /** How far the head was told to go by now. */
    Map<MotionAxis, Double> gone(long now) {
        return reckoning.gone(now / NANOS);
    }

    /** The head was told this. */
    void told(Motion motion, long now) {
        reckoning.goes(perSecond(motion), now / NANOS);
    }

    /**
     * Where the head says that it points, and how wide it sees.
     *
     * @param gone how far it was told to go when it was asked
     */
    void seen(Pointing where, Map<MotionAxis, Double> gone) {
        pointing = Optional.of(where);
        goneThen = gone;
        if (speeds != null) {
            speeds.view(where.viewDegrees());
        }
        if (going != null) {
            where.places().forEach(going.move()::seen);
        }
    }

    /** The stick was pushed there, or let go in the middle: that ends what the page kept going. */
    void push(Push push, double limit, long now) {
        lastSign = now;
        going = null;
        if (speeds == null) {
            off = push.off();
        } else {
            speeds.push(push, limit);
            off = speeds.isPushed();
        }
        mustLetGo &= off;
    }

    /**
     * Begins a steady move from where the head points.
     *
     * @return why it cannot be
     */
    Optional<SteadyMove.Refusal> go(SteadyMoves.Wish wish, Pointing from, long now) {
        Map<MotionAxis, SteadyMove.Leg> legs = new EnumMap<>(MotionAxis.class);
        wish.to()
                .forEach(
                        (axis, to) ->
                                legs.put(
                                        axis,
                                        new SteadyMove.Leg(
                                                from.places().get(axis),
                                                to,
                                                drives.get(axis).scale())));
        SteadyMove move = new SteadyMove(legs, wish.seconds());
        Optional<SteadyMove.Refusal> refusal = move.refusal();
        if (refusal.isEmpty()) {
            lastSign = now;
            going = new KeptMove(wish.number(), move, now);
            off = true;
            speeds.stand();
        }
        return refusal;
    }

    /** The page keeps this move going; a number of old keeps nothing. */
    void keepGoing(long number, long now) {
        if (going != null && going.number() == number) {
            lastSign = now;
        }
    }

    /** A page keeps a steady move going. */
    boolean keepsGoing() {
        return going != null;
    }

    boolean isOff() {
        return off;
    }

    /** It is off and may drive. */
    boolean drives() {
        return off && !mustLetGo;
    }

    /** What is held does nothing any more until it was let go; a steady move is over. */
    void insistOnLettingGo() {
        off &= going == null;
        mustLetGo = off;
        going = null;
    }

    /** Whatever moved was stopped: the ramp begins anew. */
    void stand(long now) {
        reckoning.goes(Map.of(), now / NANOS);
        if (speeds != null) {
            speeds.stand();
        }
    }

    long lastSign() {
        return lastSign;
    }

    /**
     * What the head is to be told now.
     *
     * @param moving it moves already, so that its ramp goes on
     * @return empty when a steady move is over
     */
    Optional<Motion> motion(long now, boolean moving) {
        if (going != null) {
            Optional<Motion> next =
                    going.move().after((now - going.begun()) / NANOS).map(Motion::of);
            if (next.isEmpty()) {
                going = null;
                off = false;
            }
            return next;
        }
        double seconds = moving ? (now - rampedAt) / NANOS : 0;
        rampedAt = now;
        return Optional.of(Motion.of(withinLimits(speeds.after(seconds), now)));
    }

    /**
     * By where it said that it is, and by where it may be since: whichever is nearer to a limit.
     */
    private StickSpeeds.Steps withinLimits(StickSpeeds.Steps wanted, long now) {
        if (limits.isNone()) {
            return wanted;
        }
        if (pointing.isEmpty()) {
            return StickSpeeds.Steps.NONE;
        }
        Map<MotionAxis, Double> said = pointing.get().places();
        return limits.keep(
                limits.keep(wanted, said, drives),
                reckoning.from(said, goneThen, now / NANOS),
                drives);
    }

    /** How fast a motion goes, in degrees or metres a second; empty before any head was taken. */
    Map<MotionAxis, Double> perSecond(Motion sent) {
        return speeds == null
                ? Map.of()
                : Map.of(
                        MotionAxis.PAN, speeds.panPerSecond(sent.steps().pan()),
                        MotionAxis.TILT, speeds.tiltPerSecond(sent.steps().tilt()),
                        MotionAxis.ROLL, speeds.rollPerSecond(sent.steps().roll()),
                        MotionAxis.RAIL, speeds.railPerSecond(sent.steps().rail()));
    }

    double crossingSeconds() {
        return speeds == null ? 0 : speeds.crossingSeconds();
    }
}
