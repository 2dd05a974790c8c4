package app.jerboa.standin.device;

import app.jerboa.core.profile.Head;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ZoomPosition;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Optional;
import java.util.function.Consumer;

/** One head that obeys VISCA. Safe to use from several sockets at once. */
public final class SimulatedHead {
    /** Numbers of an invented maker. */
    private static final Version VERSION = new Version(0x7EB0, 0x0020, 0x0104, 2);

    private static final int SOCKET = 1;

    private final Head facts;
    private final InstantSource world;
    private final InstantSource wall;
    private HeadState state;
    private Optional<Heard> lastDrive = Optional.empty();
    private Optional<Consumer<ViscaReply>> waitingForHome = Optional.empty();

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
        if (!state.homing()) {
            waitingForHome.ifPresent(w -> w.accept(new ViscaReply.Completed(SOCKET)));
            waitingForHome = Optional.empty();
        }
        return state;
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

        private Void done(HeadState next) {
            state = next;
            reply.accept(new ViscaReply.Ack(SOCKET));
            reply.accept(new ViscaReply.Completed(SOCKET));
            return null;
        }

        private Void answer(ViscaReply.Answer answer) {
            reply.accept(answer);
            return null;
        }

        private void cancelHome() {
            waitingForHome.ifPresent(
                    w -> w.accept(new ViscaReply.Refused(SOCKET, ViscaError.CANCELLED)));
            waitingForHome = Optional.empty();
        }

        @Override
        public Void drive(ViscaRequest.Drive it) {
            lastDrive = Optional.of(new Heard(wall.instant(), it.pan(), it.tilt()));
            cancelHome();
            return done(state.driving(it.pan(), it.tilt(), facts));
        }

        @Override
        public Void zoom(ViscaRequest.Zoom it) {
            return done(state.zooming(it.speed(), facts));
        }

        @Override
        public Void home(ViscaRequest.Home it) {
            cancelHome();
            state = state.goingHome();
            reply.accept(new ViscaReply.Ack(SOCKET));
            waitingForHome = Optional.of(reply);
            return null;
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
        public Void sent(ViscaRequest.Sent it) {
            reply.accept(new ViscaReply.Refused(0, ViscaError.SYNTAX));
            return null;
        }

        private int counts(double degrees) {
            return (int) Math.round(degrees * facts.countsPerDegree());
        }
    }
}
