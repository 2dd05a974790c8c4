package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.Push;
import app.jerboa.core.profile.Presets;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.Stopping.Outcome;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.LongSupplier;

/**
 * One desk driving at most one camera. Holds the stop contract: a desk that goes silent off centre
 * is stopped, what moves is marked before it moves, a stop is owed until the head was seen
 * standing, and after a stop from elsewhere the stick must come back to the centre before it drives
 * again. Nothing begins to move before what must be said first was said.
 *
 * <p>Nothing here waits: no call leads to the database, the rig or the browser. Times are
 * nanoseconds of {@link System#nanoTime()}.
 */
final class Driving {
    /** Silence of the stick that ends in a stop, in milliseconds of real time. */
    static final int SILENCE_MILLIS = 200;

    /** A stop not seen done after this is told, loudly. */
    static final int OWED_MILLIS = 1_000;

    /** Silence of the page after which its camera is given back. */
    static final int PAGE_SILENCE_MILLIS = 3_000;

    static final String TURNS_ANEW = Words.say("stopped.turned-anew");

    static final String SILENT = Words.say("stopped.stick-silent");

    /** Where home is; of roll and rail nothing is known. */
    private static final Map<MotionAxis, Double> HOME =
            Map.of(MotionAxis.PAN, 0.0, MotionAxis.TILT, 0.0);

    private static final String SOFT_LIMIT = Words.say("stopped.soft-limit");
    private static final String UNREAD = Words.say("stopped.unread");
    private static final String UNSAID = Words.say("stopped.unsaid");

    /** A mark stays so long on a head that stands: a stick is pushed again and again. */
    private static final int SETTLED_MILLIS = 2_000;

    private final Marks marks;
    private final Consumer<Object> screen;
    private final LongSupplier clock;
    private final BiConsumer<CameraLink, CompletableFuture<Outcome>> onLetGo;
    private final MoveGate moveGate = new MoveGate();
    private final StickHand hand = new StickHand();
    private final OwedStop owed;
    private final ToldMotion told;
    private final Bearing bearing;

    /**
     * Read by many without the lock: whoever holds a camera may be asked while this desk is busy.
     */
    private volatile CameraLink camera;

    private Motion waiting = Motion.NONE;
    private boolean closed;
    private boolean endsWhenStopped;

    /** Why nothing is begun here any more; empty while it may. */
    private Optional<String> ended = Optional.empty();

    private long lastSign;
    private volatile Optional<KeptLease> lease = Optional.empty();

    /** 0 while it moves, and when that is settled. */
    private volatile long standsSince;

    private Turned turned = Turned.NOT;

    /**
     * @param onLetGo gets a camera that is no longer driven here, and how its last stop ends
     */
    Driving(
            Marks marks,
            Consumer<Object> screen,
            LongSupplier clock,
            BiConsumer<CameraLink, CompletableFuture<Outcome>> onLetGo) {
        this.marks = marks;
        this.screen = screen;
        this.clock = clock;
        this.onLetGo = onLetGo;
        this.owed = new OwedStop(clock);
        this.told = new ToldMotion(clock);
        this.bearing = new Bearing(clock);
    }

    Optional<CameraLink> camera() {
        return Optional.ofNullable(camera);
    }

    /**
     * A program is at the stick: after a stop from elsewhere it begins nothing more. A person
     * centres the stick and knows; a program that lets go between two moves would go on.
     */
    synchronized void endWhenStopped() {
        endsWhenStopped = true;
    }

    synchronized Optional<String> ended() {
        return ended;
    }

    /** Any message of the page is a sign of life. */
    synchronized void sign() {
        lastSign = clock.getAsLong();
    }

    /**
     * @return false when the desk was closed meanwhile, so that it is not taken
     */
    synchronized boolean take(CameraLink taken, Taking terms) {
        if (closed) {
            return false;
        }
        camera = taken;
        lease = Optional.of(new KeptLease(taken, terms.leaseEnds()));
        bearing.afresh();
        hand.takes(taken, terms.feel());
        gateIs(terms.gate());
        lastSign = clock.getAsLong();
        screen.accept(new DeskMessages.Taken(taken.device()));
        return true;
    }

    /** Its driver likes this kind of camera so from now on. */
    synchronized void feel(String profile, Feel feel) {
        if (camera != null && camera.profile().equals(profile)) {
            hand.feel(feel);
        }
    }

    synchronized void gate(CameraId id, Gate gate) {
        if (camera != null && camera.id().equals(id)) {
            gateIs(gate);
        }
    }

    private void gateIs(Gate gate) {
        moveGate.now(gate);
        bearing.limits(gate.limits());
        hand.limits(gate.limits());
        if (!turned.equals(gate.turned())) {
            // A stick that is held would suddenly go the other way.
            if (hand.isOff()) {
                stopFromElsewhere(TURNS_ANEW);
            }
            turned = gate.turned();
        }
    }

    /** What must be said before it moves; empty when all was said, or there is none. */
    synchronized Optional<MoveGate.Keeps> keeps() {
        return camera == null ? Optional.empty() : moveGate.keeps();
    }

    /** It said where it points since it was taken: between limits nothing moves before. */
    synchronized boolean saidWhereItPoints() {
        return bearing.known();
    }

    /** Its driver wants it to move though its picture goes out. */
    synchronized void allowOnAir() {
        moveGate.allowOnAir();
    }

    /**
     * How fast it goes.
     *
     * @param perSecond degrees or metres, by the profile and the step it was told; right, up,
     *     clockwise and onwards are positive
     * @param crossingSeconds of the picture at full deflection
     */
    record Going(Map<MotionAxis, Double> perSecond, double crossingSeconds) {
        double of(MotionAxis axis) {
            return perSecond.getOrDefault(axis, 0.0);
        }
    }

    synchronized Going going() {
        return new Going(hand.perSecond(told.now()), hand.crossingSeconds());
    }

    void leaseRenewed(CameraLink of, long endsNanos) {
        lease.ifPresent(l -> l.renewed(of, endsNanos));
    }

    /**
     * @param limit share of all speeds, above 0 to 1
     */
    synchronized void stick(Push push, double limit) {
        hand.push(turned.of(push), limit, clock.getAsLong());
        if (camera == null) {
            return;
        }
        if (hand.isOff()) {
            drive();
            return;
        }
        if (!waiting.byItself()
                && (!told.now().stands() && !told.now().byItself() || !waiting.stands())) {
            stop("released");
        }
    }

    /** As fast as the stick asks for by now: its ramp goes on between its messages. */
    private void drive() {
        if (hand.drives()) {
            hand.motion(clock.getAsLong(), isMoving())
                    .ifPresentOrElse(this::wantWithinLimits, () -> stop("arrived"));
        }
    }

    /** What is pushed and told to stand has come to a limit. */
    private void wantWithinLimits(Motion motion) {
        if (hand.keepsGoing() || !motion.stands()) {
            want(motion);
        } else if (isMoving()) {
            hand.insistOnLettingGo();
            stop(SOFT_LIMIT);
        } else {
            hand.insistOnLettingGo();
            trouble(Words.say(bearing.saysEnough() ? "desk.at-limit" : "desk.limit-unread"));
        }
    }

    /** Begins a steady move to a place, which goes on as long as its page keeps it going. */
    synchronized void go(SteadyMoves.Wish wish) {
        if (camera == null || isMoving() || hand.isOff()) {
            return;
        }
        if (moveGate.keeps().isPresent()) {
            needs(moveGate.keeps().get());
            return;
        }
        Optional<String> cannot =
                SteadyMoves.begin(
                        camera, hand, bearing.fresh(), bearing.limits(), wish, clock.getAsLong());
        if (cannot.isPresent()) {
            trouble(cannot.get());
        } else {
            drive();
        }
    }

    synchronized void keepGoing(long number) {
        hand.keepGoing(number, clock.getAsLong());
    }

    private void trouble(String why) {
        screen.accept(new DeskMessages.Trouble(Optional.of(camera.device()), why));
    }

    synchronized void home() {
        if (camera == null || hand.isOff() || isMoving() && !goesByItself()) {
            return;
        }
        if (!bearing.limits().holds(HOME)) {
            trouble(Words.say("desk.home-beyond-limit"));
        } else if (camera.link().can().home()) {
            want(Motion.HOME);
        } else {
            trouble(Words.say("refused.no-home"));
        }
    }

    /** What goes somewhere by itself can be sent somewhere else. */
    private boolean goesByItself() {
        return told.now().byItself() && waiting.stands();
    }

    /**
     * Goes to a view that is stored in it.
     *
     * @param preset as the camera calls it, from 0
     */
    synchronized void recall(int preset) {
        if (camera == null || hand.isOff() || isMoving() && !goesByItself()) {
            return;
        }
        Optional<Presets> holds = camera.presets().filter(p -> p.holds(preset));
        if (holds.isPresent()) {
            want(Motion.recall(preset, hand.recallStep(holds.get().speeds())));
        } else {
            trouble(Words.say("preset.none", Map.of("number", Integer.toString(preset))));
        }
    }

    /** Nothing moves before it is stored that it moves; the newest wish waits for that. */
    private void want(Motion motion) {
        if (ended.isPresent()) {
            hand.insistOnLettingGo();
            return;
        }
        Optional<MoveGate.Keeps> keeps = isMoving() ? Optional.empty() : moveGate.keeps();
        if (keeps.isPresent()) {
            if (hand.keepsGoing()) {
                // Between two steps of a steady move: told to stand, and not yet seen to.
                stop(UNSAID);
            }
            needs(keeps.get());
            return;
        }
        if (marks.isMarked(camera.id())) {
            waiting = Motion.NONE;
            begin(motion);
            return;
        }
        boolean asked = !waiting.stands();
        waiting = motion;
        if (!asked) {
            CameraLink of = camera;
            marks.mark(of.id()).whenComplete((done, failure) -> marked(of, failure));
        }
    }

    private void needs(MoveGate.Keeps what) {
        hand.insistOnLettingGo();
        hand.stand(clock.getAsLong());
        screen.accept(new DeskMessages.Needs(camera.device(), what));
    }

    private synchronized void marked(CameraLink of, Throwable failure) {
        Motion motion = waiting;
        if (!of.equals(camera) || motion.stands()) {
            return;
        }
        waiting = Motion.NONE;
        if (failure != null) {
            hand.insistOnLettingGo();
            screen.accept(
                    new DeskMessages.Trouble(
                            Optional.of(of.device()), Words.say("refused.move-unstored")));
        } else if (motion.byItself() || !silent(hand.lastSign(), SILENCE_MILLIS)) {
            begin(motion);
        }
    }

    private void begin(Motion motion) {
        owed.over();
        standsSince = 0;
        if (motion.byItself()) {
            bearing.goes();
        }
        told.tell(camera, motion);
        hand.told(motion, clock.getAsLong());
    }

    synchronized boolean isMoving() {
        return !told.now().stands() || !waiting.stands();
    }

    /**
     * The stop frames are out when this returns; whether the head stands is told to the screen
     * later.
     */
    synchronized void stop(String why) {
        if (camera != null) {
            CameraLink stopped = camera;
            OwedStop.Stop stop = owed.begin(why);
            nothingMoves();
            stopped.link().stop().whenComplete((outcome, failure) -> ended(stopped, stop, outcome));
        }
    }

    /** As {@link #stop}, and the stick must come back to the centre before it drives again. */
    synchronized void stopFromElsewhere(String why) {
        if (endsWhenStopped && ended.isEmpty()) {
            ended = Optional.of(why);
        }
        hand.insistOnLettingGo();
        stop(why);
    }

    private void nothingMoves() {
        told.stand();
        waiting = Motion.NONE;
        hand.stand(clock.getAsLong());
    }

    /**
     * @param outcome null when the link was closed under it
     */
    private synchronized void ended(CameraLink stopped, OwedStop.Stop stop, Outcome outcome) {
        if (outcome == Outcome.OVERTAKEN || !stopped.equals(camera)) {
            return;
        }
        if (outcome != null && outcome.done() && owed.is(stop)) {
            stands();
        }
        stop.tell();
        screen.accept(
                new DeskMessages.Stopped(
                        stopped.device(),
                        outcome == Outcome.STANDING,
                        outcome == Outcome.TOLD,
                        stop.why()));
    }

    private void stands() {
        owed.over();
        standsSince = clock.getAsLong();
    }

    /** A stop is still owed after a while: it is tried over another link too. */
    synchronized Optional<CameraId> owing() {
        return owed.after(2 * OWED_MILLIS).map(s -> camera.id());
    }

    /** It was seen standing over another link. */
    synchronized void seenStanding(CameraId id) {
        Optional<OwedStop.Stop> stop = owed.now().filter(s -> camera.id().equals(id));
        if (stop.isPresent()) {
            screen.accept(new DeskMessages.Stopped(id.device(), true, false, stop.get().why()));
            stands();
        }
    }

    /** The camera is asked where it points from now on; empty without one. */
    synchronized Optional<Question> asks() {
        return camera().map(c -> new Question(c, hand.gone(clock.getAsLong())));
    }

    /** The camera says where it points: one that went by itself has arrived when it stays so. */
    synchronized void seen(Question asked, Pointing where) {
        if (!asked.camera().equals(camera)) {
            return;
        }
        hand.seen(where, asked.gone());
        boolean leaves = bearing.seen(where);
        if (told.now().byItself() && leaves) {
            stop(SOFT_LIMIT);
        } else if (told.isThere(where)) {
            told.stand();
            standsSince = clock.getAsLong();
        }
    }

    /** Stops a stick that is off centre and silent; gives back what may no longer be driven. */
    synchronized void watch() {
        if (camera == null) {
            return;
        }
        boolean held = told.now().byHand() || waiting.byHand() || hand.keepsGoing();
        if (held && silent(hand.lastSign(), SILENCE_MILLIS)) {
            hand.insistOnLettingGo();
            stop(SILENT);
        } else if (held && hand.needsReading() && bearing.silent()) {
            hand.insistOnLettingGo();
            stop(UNREAD);
        } else if (held) {
            drive();
        } else if (told.now().byItself() && !bearing.limits().isNone() && bearing.silent()) {
            stop(UNREAD);
        }
        if (lease.filter(l -> l.isOver(clock.getAsLong())).isPresent()) {
            giveBack(Words.say("given-back.unkept"));
        } else if (silent(lastSign, PAGE_SILENCE_MILLIS)) {
            giveBack(Words.say("given-back.silent"));
        } else {
            CameraLink of = camera;
            owed.lateAfter(OWED_MILLIS)
                    .ifPresent(
                            s ->
                                    screen.accept(
                                            new DeskMessages.Stopped(
                                                    of.device(), false, false, s.why())));
        }
    }

    /** The camera is lost: it is stopped, and the page is told so. */
    synchronized void giveBack(String why) {
        if (camera != null) {
            screen.accept(new DeskMessages.Released(camera.device(), why));
            letGo();
        }
    }

    /** Nobody drives it from here any more; what moves is stopped first. */
    synchronized void letGo() {
        if (camera == null) {
            return;
        }
        CameraLink released = camera;
        boolean stands = !isMoving() && !hand.keepsGoing() && !owed.isOwed();
        nothingMoves();
        owed.over();
        standsSince = 0;
        camera = null;
        onLetGo.accept(
                released,
                stands
                        ? CompletableFuture.completedFuture(Outcome.STANDING)
                        : released.link().stop());
    }

    synchronized void close() {
        closed = true;
        letGo();
    }

    /** Takes the mark off a head that has stood for a while. */
    void unmarkWhenSettled() {
        // Most desks move, or have stood long since: they are not held up for it.
        if (standsSince != 0) {
            unmarkIfSettled();
        }
    }

    private synchronized void unmarkIfSettled() {
        boolean settled = standsSince != 0 && silent(standsSince, SETTLED_MILLIS);
        if (camera != null && settled && !isMoving()) {
            standsSince = 0;
            marks.unmark(camera.id());
        }
    }

    private boolean silent(long since, int millis) {
        return clock.getAsLong() - since > millis * 1_000_000L;
    }
}
