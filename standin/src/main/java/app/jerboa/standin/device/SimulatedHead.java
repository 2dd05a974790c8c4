package app.jerboa.standin.device;

import app.jerboa.core.profile.Head;
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
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/** One head that obeys VISCA. Safe to use from several sockets at once. */
public final class SimulatedHead {
    /** Numbers of an invented maker. */
    private static final Version VERSION = new Version(0x7EB0, 0x0020, 0x0104, 2);

    /**
     * Command sockets: what moves the head waits in the first, what moves the lens in the other.
     */
    private static final int HEAD = 1;

    private static final int LENS = 2;
    private static final int LOOK_MILLIS = 20;
    private static final int FOCUS_STEP = 0x0400;

    private final Head facts;
    private final InstantSource world;
    private final InstantSource wall;
    private final HeadSettings settings = new HeadSettings();
    private final Map<Integer, Aim> presets = new HashMap<>();
    private HeadState state;
    private Optional<Heard> lastDrive = Optional.empty();

    /** The move in the head's socket ends when the lens has arrived as well. */
    private boolean withLens;

    private boolean looking;

    /** Where the end of a move is told, by the socket it waits in. */
    private final Map<Integer, Consumer<ViscaReply>> moving = new HashMap<>();

    /**
     * A drive as it came off the wire.
     *
     * @param at wall clock, so that other programs can compare it with their own
     */
    public record Heard(Instant at, int pan, int tilt) {}

    public SimulatedHead(Head facts, InstantSource world, InstantSource wall) {
        this.facts = facts;
        this.wall = wall;
        this.world = world;
        this.state = HeadState.atPowerUp(world.instant());
    }

    public synchronized HeadState state() {
        state = state.at(world.instant(), facts);
        if (!state.homing() && !(withLens && state.lensHoming())) {
            ended(HEAD, new ViscaReply.Completed(HEAD));
        }
        if (!state.lensHoming()) {
            ended(LENS, new ViscaReply.Completed(LENS));
        }
        return state;
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

    /** Obeys; replies go to {@code reply} now or, for a move with an end, on arrival. */
    public synchronized void handle(ViscaRequest request, Consumer<ViscaReply> reply) {
        state();
        request.match(new Obey(reply));
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
            if (settings.standby()) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            state = next;
            return done();
        }

        /** On its way; a newer move of the same kind takes its place. */
        private Void moves(int socket, HeadState next) {
            if (settings.standby()) {
                return refused(ViscaError.NOT_EXECUTABLE);
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
            cancel(HEAD);
            return done(state.driving(it.pan(), it.tilt(), facts));
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
            return answer(new PanTilt(counts(state.pan()), counts(state.tilt())).answer());
        }

        @Override
        public Void askZoom(ViscaRequest.AskZoom it) {
            return answer(
                    new ZoomPosition((int) Math.round(state.zoom() * ZoomPosition.TELE)).answer());
        }

        @Override
        public Void raw(ViscaRequest.Raw it) {
            return refused(ViscaError.SYNTAX);
        }

        @Override
        public Void sent(ViscaRequest.Sent it) {
            List<Integer> values = it.values();
            return switch (it.message()) {
                case RESET -> moves(HEAD, state.goingHome(facts));
                case ABSOLUTE ->
                        moves(
                                HEAD,
                                state.going(degrees(values.get(2)), degrees(values.get(3)), facts));
                case RELATIVE ->
                        moves(
                                HEAD,
                                state.going(
                                        state.pan() + degrees(values.get(2)),
                                        state.tilt() + degrees(values.get(3)),
                                        facts));
                case ZOOM_DIRECT ->
                        moves(LENS, state.zoomingTo((double) values.get(0) / ZoomPosition.TELE));
                case PRESET_SET -> {
                    presets.put(values.get(0), new Aim(state.pan(), state.tilt(), state.zoom()));
                    yield done();
                }
                case PRESET_RESET -> {
                    presets.remove(values.get(0));
                    yield done();
                }
                case PRESET_RECALL -> recall(presets.get(values.get(0)));
                case CANCEL -> cancelled(values.get(0));
                case FOCUS_STOP, FOCUS_ONE_PUSH, WHITE_BALANCE_ONCE -> done(state);
                case FOCUS_FAR, FOCUS_FAR_AT -> focused(FOCUS_STEP);
                case FOCUS_NEAR, FOCUS_NEAR_AT -> focused(-FOCUS_STEP);
                // This head has no limits to set and one speed for its presets.
                case LIMIT_SET, LIMIT_CLEAR, PRESET_SPEED -> refused(ViscaError.NOT_EXECUTABLE);
                default -> setting(it);
            };
        }

        private Void recall(Aim view) {
            if (view == null) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            cancel(LENS);
            moves(HEAD, state.going(view.pan(), view.tilt(), facts).zoomingTo(view.zoom()));
            withLens = true;
            return null;
        }

        /** A step at once: how a lens runs there is not simulated. */
        private Void focused(int by) {
            settings.shiftFocus(by);
            return done(state);
        }

        /** What is cancelled stops where it is, and says so itself. */
        private Void cancelled(int socket) {
            if (!moving.containsKey(socket)) {
                reply.accept(new ViscaReply.Refused(socket, ViscaError.NO_SOCKET));
                return null;
            }
            state = socket == HEAD ? state.driving(0, 0, facts) : state.zooming(0, facts);
            cancel(socket);
            return null;
        }

        private Void setting(ViscaRequest.Sent it) {
            if (settings.answer(it.message()).isPresent()) {
                int value = settings.answer(it.message()).getAsInt();
                return answer(it.message().answer().encode(value));
            }
            if (settings.standby() && it.message() != ViscaMessage.POWER) {
                return refused(ViscaError.NOT_EXECUTABLE);
            }
            return settings.take(it.message(), it.values()) ? done() : refused(ViscaError.SYNTAX);
        }

        private int counts(double degrees) {
            return (int) Math.round(degrees * facts.countsPerDegree());
        }

        private double degrees(int counts) {
            return counts / facts.countsPerDegree();
        }
    }
}
