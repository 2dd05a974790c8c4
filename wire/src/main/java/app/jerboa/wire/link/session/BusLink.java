package app.jerboa.wire.link.session;

import app.jerboa.wire.dprotocol.DAxis;
import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.dprotocol.DWords;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ZoomPosition;
import java.time.InstantSource;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ScheduledExecutorService;

/**
 * What a head of an RS-485 bus can do by the D protocol. One frame says all that moves, so that a
 * zoom repeats the drive beside it. Nothing is acknowledged: a stop goes out three times, and only
 * heads that can be asked where they point are seen standing.
 */
public final class BusLink implements HeadLink {
    private static final int ROUNDS = 8;
    private static final double HUNDREDTHS = 100;
    private static final int TURN = 36_000;
    private static final int MOST_ZOOM = 65_535;

    private final Session<DMessage, DMessage> session;
    private final DForm form;
    private final Abilities can;
    private Exchange<DMessage, DMessage> newest;
    private int pan;
    private int tilt;
    private int zoom;
    private int focus;

    /**
     * @param address 1 to 255
     * @param tells it answers questions about where it points
     */
    public BusLink(
            Transport transport,
            DForm form,
            int address,
            boolean tells,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log) {
        this.form = form;
        session =
                new Session<>(transport, new DDialect(form, address), timer, clock, log, () -> {});
        can =
                new Abilities(
                        DMessage.STEPS,
                        DMessage.STEPS,
                        1,
                        false,
                        tells,
                        OptionalDouble.of(HUNDREDTHS));
    }

    @Override
    public Abilities can() {
        return can;
    }

    @Override
    public synchronized CompletableFuture<?> drive(int panSteps, int tiltSteps) {
        pan = panSteps;
        tilt = tiltSteps;
        return move();
    }

    @Override
    public synchronized CompletableFuture<?> zoom(int speed) {
        zoom = speed;
        return move();
    }

    @Override
    public synchronized CompletableFuture<?> focus(int speed) {
        focus = speed;
        return move();
    }

    /** Newer orders end the repeating of older ones: a stop that repeats must not stop them. */
    private CompletableFuture<?> move() {
        return order(new DMessage.Drive(pan, tilt, zoom, focus, 0));
    }

    private CompletableFuture<?> order(DMessage what) {
        newest = session.startInstead(newest, what, Optional.empty(), "replaced by a newer order");
        return newest.reply;
    }

    @Override
    public CompletableFuture<?> home() {
        return CompletableFuture.failedFuture(
                new NoAnswer("the D protocol has no home; recall a preset"));
    }

    @Override
    public synchronized CompletableFuture<?> recall(int preset, OptionalInt speed) {
        return order(new DMessage.Preset(DMessage.PresetAction.GO, preset));
    }

    @Override
    public CompletableFuture<?> store(int preset) {
        return session.start(new DMessage.Preset(DMessage.PresetAction.SET, preset), false).reply;
    }

    @Override
    public CompletableFuture<Stopping.Outcome> stop() {
        return session.toldElsewhere(round(ROUNDS));
    }

    private CompletableFuture<Stopping.Outcome> round(int left) {
        Exchange<DMessage, DMessage> stop;
        synchronized (this) {
            pan = 0;
            tilt = 0;
            zoom = 0;
            focus = 0;
            move();
            stop = newest;
        }
        return stop.reply
                .handle((done, failure) -> failure)
                .thenCompose(failure -> look(failure, stop, left));
    }

    private CompletableFuture<Stopping.Outcome> look(
            Throwable failure, Exchange<DMessage, DMessage> stop, int left) {
        if (session.isClosed()) {
            return CompletableFuture.failedFuture(new NoAnswer("the link was closed"));
        } else if (failure != null) {
            return CompletableFuture.completedFuture(Stopping.Outcome.OVERTAKEN);
        } else if (!can.tells()) {
            return CompletableFuture.completedFuture(Stopping.Outcome.TOLD);
        }
        return askPanTilt(true)
                .thenCompose(first -> askPanTilt(true).thenApply(first::equals))
                .exceptionally(silent -> false)
                .thenCompose(still -> next(still, stop, left));
    }

    private synchronized CompletableFuture<Stopping.Outcome> next(
            boolean still, Exchange<DMessage, DMessage> stop, int left) {
        if (newest != stop) {
            return CompletableFuture.completedFuture(Stopping.Outcome.OVERTAKEN);
        } else if (still) {
            return CompletableFuture.completedFuture(Stopping.Outcome.STANDING);
        }
        return left == 1
                ? CompletableFuture.completedFuture(Stopping.Outcome.MOVING)
                : round(left - 1);
    }

    @Override
    public CompletableFuture<PanTilt> askPanTilt(boolean polling) {
        return ask(DAxis.PAN, polling)
                .thenCombine(
                        ask(DAxis.TILT, polling),
                        (p, t) -> new PanTilt(aroundZero(p), aroundZero(t)));
    }

    /** A full turn is told as 0 to 359.99 degrees; here left of the middle is below 0. */
    private static int aroundZero(int hundredths) {
        return hundredths > TURN / 2 ? hundredths - TURN : hundredths;
    }

    @Override
    public CompletableFuture<ZoomPosition> askZoom(boolean polling) {
        return ask(DAxis.ZOOM, polling)
                .thenApply(z -> new ZoomPosition(z * ZoomPosition.TELE / MOST_ZOOM));
    }

    private CompletableFuture<Integer> ask(DAxis axis, boolean polling) {
        if (!can.tells()) {
            return CompletableFuture.failedFuture(new NoAnswer("it tells nothing back"));
        }
        return session.start(new DMessage.Ask(axis), polling).reply.thenApply(BusLink::value);
    }

    private static int value(DMessage reply) {
        if (reply instanceof DMessage.Position at) {
            return at.value();
        }
        throw new NoAnswer("it did not say where it points");
    }

    @Override
    public CompletableFuture<Version> askVersion() {
        return CompletableFuture.failedFuture(new NoAnswer("the D protocol asks for no version"));
    }

    @Override
    public CompletableFuture<String> say(Octets frame) {
        return form.decode(frame)
                .toOptional()
                .map(a -> session.start(a.message(), false).reply.thenApply(DWords::of))
                .orElseGet(
                        () ->
                                CompletableFuture.failedFuture(
                                        new NoAnswer("it is no frame of the D protocol")));
    }

    @Override
    public CompletableFuture<Octets> tell(ProfileFrame what, boolean polling) {
        DMessage message =
                form.decode(what.frame())
                        .toOptional()
                        .map(DForm.Addressed::message)
                        .orElseGet(() -> other(what.frame().slice(2, 6)));
        return session.start(message, polling, what.called()).reply.thenApply(done -> Octets.of());
    }

    private static DMessage other(Octets c) {
        return new DMessage.Other(c.at(0), c.at(1), c.at(2), c.at(3));
    }

    @Override
    public Health health() {
        return session.health();
    }

    @Override
    public void close() {
        session.close();
    }
}
