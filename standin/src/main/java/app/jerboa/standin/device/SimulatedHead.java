package app.jerboa.standin.device;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.profile.Habit;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Presets;
import app.jerboa.standin.device.HeadState.Aim;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ZoomPosition;
import java.time.Instant;
import java.time.InstantSource;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/** One head that obeys VISCA. Safe to use from several sockets at once. */
public final class SimulatedHead implements ViscaObeys {
    /** Numbers of an invented maker. */
    private static final Version VERSION = new Version(0x7EB0, 0x0020, 0x0104, 2);

    /**
     * Command sockets: what moves the head waits in the first, what moves the lens in the other.
     */
    private static final int HEAD = 1;

    private static final int LENS = 2;
    private static final int LOOK_MILLIS = 20;

    /** Of the focus knob's range, by speed 0 to 7. */
    private static final double SLOWEST_FOCUS = 0.02;

    private static final double FOCUS_BY_SPEED = 0.06;
    private static final int USUAL_SPEED = 4;

    private final Set<Habit> habits;
    private final Set<Integer> reserved;
    private final KnobBank bank;
    private final KnobVoice knobs;
    private final Optional<Knob> focus;
    private final MoreAxes more;

    /** As it was built, narrowed by the limits that were set at it. */
    private Head facts;

    private final Head built;
    private FocusRun focusRun = FocusRun.STANDING;
    private final InstantSource world;
    private final InstantSource wall;
    private final Map<Integer, StoredView> presets = new TreeMap<>();
    private HeadState state;
    private Optional<Heard> lastDrive = Optional.empty();

    /** The move in the head's socket ends when the lens has arrived as well. */
    private boolean withLens;

    /** Share of its steps that it goes to a stored view by. */
    private double recallAt = 1;

    private boolean looking;
    private Runnable onMove = () -> {};

    /** Where the end of a move is told, by the socket it waits in. */
    private final Map<Integer, Consumer<ViscaReply>> moving = new HashMap<>();

    /**
     * A drive as it came off the wire.
     *
     * @param at wall clock, so that other programs can compare it with their own
     */
    public record Heard(Instant at, int pan, int tilt) {}

    /**
     * @param facts of the head, where the profile of the bank has none: a bridge
     */
    public SimulatedHead(Head facts, KnobBank bank, InstantSource world, InstantSource wall) {
        this.built = facts;
        this.facts = facts;
        this.bank = bank;
        this.knobs = new KnobVoice(bank);
        this.focus = knobs.knob(ViscaMessage.FOCUS_DIRECT);
        this.habits = Set.copyOf(bank.profile().habits());
        this.reserved =
                bank.profile().presets().map(p -> Set.copyOf(p.reserved())).orElse(Set.of());
        this.wall = wall;
        this.world = world;
        this.state = HeadState.atPowerUp(world.instant());
        this.more = new MoreAxes(facts, world.instant());
    }

    public synchronized HeadState state() {
        state = state.at(world.instant(), facts);
        focus.ifPresent(this::runFocus);
        if (!state.homing() && !(withLens && state.lensHoming())) {
            ended(HEAD, new ViscaReply.Completed(HEAD));
        }
        if (!state.lensHoming() && !focusRun.toPlace()) {
            ended(LENS, new ViscaReply.Completed(LENS));
        }
        return state;
    }

    private void runFocus(Knob knob) {
        FocusRun run = focusRun;
        if (!run.running()) {
            return;
        }
        focusRun = run.at(world.instant(), bank.value(knob.name()).orElseThrow(), knob);
        bank.put(knob, focusRun.place());
    }

    /** Somebody waits to hear that it has arrived. */
    private void lookAgain() {
        if (!looking && !moving.isEmpty()) {
            looking = true;
            Timers.SHARED.schedule(this::look, LOOK_MILLIS, TimeUnit.MILLISECONDS);
        }
    }

    private synchronized void look() {
        looking = false;
        state();
        lookAgain();
    }

    private void ended(int socket, ViscaReply how) {
        Consumer<ViscaReply> told = moving.remove(socket);
        if (told != null) {
            told.accept(how);
        }
    }

    private void cancel(int socket) {
        ended(socket, new ViscaReply.Refused(socket, ViscaError.CANCELLED));
    }

    public synchronized Optional<Heard> lastDrive() {
        return lastDrive;
    }

    /** It is on its way, or takes its way up just now. */
    public synchronized boolean moving() {
        state();
        return told();
    }

    /** As it was told last, whether it has arrived by now or not. */
    private boolean told() {
        return state.homing()
                || state.panSpeed() != 0
                || state.tiltSpeed() != 0
                || more.moving(world.instant());
    }

    /** Where it is beside pan and tilt, in degrees or metres, by name. */
    public synchronized Map<String, Double> axes() {
        return more.places(world.instant());
    }

    /** Told after each request that it was given while it moves, or moved before. */
    public synchronized void onMove(Runnable told) {
        onMove = told;
    }

    /** Stored views by their numbers. */
    public synchronized Map<Integer, StoredView> presets() {
        return new TreeMap<>(presets);
    }

    /** As from the box: it keeps no view any more. */
    public synchronized void forget() {
        presets.clear();
    }

    /** Stands there and knows these views, as it did before. */
    public synchronized void resume(Map<Integer, StoredView> known, Optional<Aim> at) {
        presets.putAll(known);
        at.ifPresent(a -> state = HeadState.at(a, world.instant()));
    }

    @Override
    public synchronized void handle(ViscaRequest request, Consumer<ViscaReply> reply) {
        boolean before = moving();
        request.match(new Obey(reply));
        if (before != told()) {
            onMove.run();
        }
    }

    private final class Obey implements ViscaRequest.Cases<Void> {
        private final Consumer<ViscaReply> reply;

        Obey(Consumer<ViscaReply> reply) {
            this.reply = reply;
        }

        private Void done() {
            reply.accept(new ViscaReply.Ack(HEAD));
            reply.accept(new ViscaReply.Completed(HEAD));
            return null;
        }

        private Void done(HeadState next) {
            if (bank.standby()) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            state = next;
            return done();
        }

        /** On its way; a newer move of the same kind takes its place. */
        private Void moves(int socket, HeadState next) {
            if (bank.standby()) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            if (habits.contains(Habit.ONE_MOVE_AT_A_TIME) && moving.containsKey(socket)) {
                return refused(ViscaError.BUFFER_FULL);
            }
            cancel(socket);
            withLens = withLens && socket == LENS;
            state = next;
            reply.accept(new ViscaReply.Ack(socket));
            moving.put(socket, reply);
            lookAgain();
            return null;
        }

        private Void refused(ViscaError why) {
            reply.accept(new ViscaReply.Refused(0, why));
            return null;
        }

        private Void answer(ViscaReply.Answer answer) {
            reply.accept(answer);
            return null;
        }

        @Override
        public Void drive(ViscaRequest.Drive it) {
            lastDrive = Optional.of(new Heard(wall.instant(), it.pan(), it.tilt()));
            if (it.stops() && state.homing() && habits.contains(Habit.STOP_LEAVES_RECALLS)) {
                return done();
            }
            cancel(HEAD);
            Sense sense = sense();
            return done(state.driving(sense.pan() * it.pan(), sense.tilt() * it.tilt(), facts));
        }

        @Override
        public Void zoom(ViscaRequest.Zoom it) {
            cancel(LENS);
            return done(state.zooming(it.speed(), facts));
        }

        @Override
        public Void home(ViscaRequest.Home it) {
            return moves(HEAD, state.goingHome(facts));
        }

        @Override
        public Void clear(ViscaRequest.Clear it) {
            reply.accept(new ViscaReply.Completed(0));
            return null;
        }

        @Override
        public Void askVersion(ViscaRequest.AskVersion it) {
            return answer(VERSION.answer());
        }

        @Override
        public Void askPanTilt(ViscaRequest.AskPanTilt it) {
            Sense sense = sense();
            PanTilt at =
                    new PanTilt(
                            counts(sense.pan() * state.pan()), counts(sense.tilt() * state.tilt()));
            return answer(habits.contains(Habit.FIVE_NIBBLES) ? at.longAnswer() : at.answer());
        }

        @Override
        public Void askZoom(ViscaRequest.AskZoom it) {
            return answer(
                    new ZoomPosition((int) Math.round(state.zoom() * ZoomPosition.TELE)).answer());
        }

        @Override
        public Void raw(ViscaRequest.Raw it) {
            return bank.standby()
                    ? all(knobs.hear(it.body()))
                    : all(more.hear(it.body(), world.instant()).or(() -> knobs.hear(it.body())));
        }

        /** Octets that nobody has are a fault of syntax. */
        private Void all(Optional<List<ViscaReply>> replies) {
            replies.orElse(List.of(new ViscaReply.Refused(0, ViscaError.SYNTAX))).forEach(reply);
            return null;
        }

        @Override
        public Void sent(ViscaRequest.Sent it) {
            List<Integer> values = it.values();
            return switch (it.message()) {
                case RESET -> moves(HEAD, state.goingHome(facts));
                case ABSOLUTE -> goes(0, 0, values);
                case RELATIVE -> goes(state.pan(), state.tilt(), values);
                case ZOOM_DIRECT ->
                        moves(LENS, state.zoomingTo((double) values.get(0) / ZoomPosition.TELE));
                case PRESET_SET -> {
                    if (reserved.contains(values.get(0))) {
                        yield refused(ViscaError.NOT_EXECUTABLE);
                    }
                    presets.put(values.get(0), StoredView.of(state, bank));
                    yield done();
                }
                case PRESET_RESET -> {
                    presets.remove(values.get(0));
                    yield done();
                }
                case PRESET_RECALL ->
                        reserved.contains(values.get(0))
                                ? done()
                                : recall(presets.get(values.get(0)));
                case CANCEL -> cancelled(values.get(0));
                case FOCUS_STOP -> focused(FocusRun.STANDING);
                case FOCUS_FAR -> focused(running(USUAL_SPEED));
                case FOCUS_NEAR -> focused(running(-USUAL_SPEED));
                case FOCUS_FAR_AT -> focused(running(1 + values.get(0)));
                case FOCUS_NEAR_AT -> focused(running(-1 - values.get(0)));
                case FOCUS_DIRECT -> focusTo(values.get(0));
                case LIMIT_SET ->
                        limited(values.get(0) == 1, degrees(values.get(1)), degrees(values.get(2)));
                case LIMIT_CLEAR -> {
                    facts = built;
                    yield done();
                }
                case PRESET_SPEED -> recallSpeed(values.get(0));
                default -> setting(it);
            };
        }

        /** One that has a single speed for its presets cannot be told another. */
        private Void recallSpeed(int step) {
            OptionalInt steps =
                    bank.profile().presets().map(Presets::speeds).orElse(OptionalInt.empty());
            if (steps.isEmpty() || step > steps.getAsInt()) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            recallAt = (double) step / steps.getAsInt();
            return done();
        }

        private Void recall(StoredView view) {
            if (view == null) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            cancel(LENS);
            HeadState.Cruise by = HeadState.Cruise.at(recallAt, facts);
            HeadState gone = state.going(view.pan(), view.tilt(), facts, by);
            moves(HEAD, gone.zoomingTo(view.zoom()));
            withLens = true;
            // What an automatic holds just now stays with it.
            bank.profile().knobs().stream()
                    .filter(k -> view.knobs().containsKey(k.name()))
                    .forEach(k -> bank.turn(k, view.knobs().get(k.name())));
            return null;
        }

        private Void limited(boolean upRight, double pan, double tilt) {
            facts = sense().within(facts, upRight, pan, tilt);
            return done();
        }

        /** From there by the counts of an absolute or relative move. */
        private Void goes(double pan, double tilt, List<Integer> values) {
            Sense sense = sense();
            return moves(
                    HEAD,
                    state.going(
                            pan + sense.pan() * degrees(values.get(2)),
                            tilt + sense.tilt() * degrees(values.get(3)),
                            facts));
        }

        private Sense sense() {
            return Sense.of(bank.turnedRound());
        }

        private FocusRun running(int speed) {
            double share = SLOWEST_FOCUS + FOCUS_BY_SPEED * Math.abs(speed);
            return FocusRun.going(Math.copySign(share, speed), world.instant());
        }

        private Void focused(FocusRun next) {
            if (focus.isEmpty()) {
                return refused(ViscaError.SYNTAX);
            }
            Optional<KnobBank.Refusal> not = bank.notNow(focus.get().only(), focus.get().doing());
            if (not.isPresent() && next.running()) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            cancel(LENS);
            focusRun = next;
            return done();
        }

        private Void focusTo(int wanted) {
            if (focus.isEmpty() || !focus.get().takes(wanted)) {
                return refused(ViscaError.SYNTAX);
            }
            if (bank.notNow(focus.get().only(), focus.get().doing()).isPresent()) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            cancel(LENS);
            focusRun = FocusRun.to(wanted, world.instant());
            reply.accept(new ViscaReply.Ack(LENS));
            moving.put(LENS, reply);
            lookAgain();
            return null;
        }

        /** What is cancelled stops where it is, and says so itself. */
        private Void cancelled(int socket) {
            if (!moving.containsKey(socket)) {
                reply.accept(new ViscaReply.Refused(socket, ViscaError.NO_SOCKET));
                return null;
            }
            state = socket == HEAD ? state.driving(0, 0, facts) : state.zooming(0, facts);
            focusRun = socket == LENS ? FocusRun.STANDING : focusRun;
            cancel(socket);
            return null;
        }

        private Void setting(ViscaRequest.Sent it) {
            return all(knobs.hear(it));
        }

        private int counts(double degrees) {
            return (int) Math.round(degrees * facts.countsPerDegree());
        }

        private double degrees(int counts) {
            return counts / facts.countsPerDegree();
        }
    }
}
