package app.jerboa.wire.link.session;

import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ViscaWords;
import app.jerboa.wire.visca.ZoomPosition;
import java.time.InstantSource;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ScheduledExecutorService;
import java.util.function.Function;

/**
 * What a head can do, said in VISCA over one transport. The newest motion replaces an older one
 * that is still unanswered; a stop replaces every motion and is itself never given up.
 */
public final class ViscaLink implements HeadLink {
    /** What one motion is replaced by: the newest of its own kind. */
    private enum Moves {
        HEAD,
        LENS,
        FOCUS,
        ROLL,
        RAIL;

        static Moves of(MoreAxis axis) {
            return axis == MoreAxis.ROLL ? ROLL : RAIL;
        }
    }

    /** Commands that a camera works on at once. */
    private static final int SOCKETS = 2;

    private final Session<ViscaRequest, ViscaReply> session;
    private final Map<Moves, Exchange<ViscaRequest, ViscaReply>> newest =
            new EnumMap<>(Moves.class);
    private Map<MoreAxis, AxisFrames> axes = Map.of();
    private long motionsSent;

    private static final Abilities CAN =
            new Abilities(
                    ViscaRequest.PAN_STEPS,
                    ViscaRequest.TILT_STEPS,
                    ViscaRequest.ZOOM_STEPS,
                    true,
                    true,
                    OptionalDouble.empty());

    /** To the one camera of a network link. */
    public ViscaLink(
            Transport transport,
            Form form,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log) {
        this(
                transport,
                form,
                new ViscaDialect(form, ViscaDialect.ONLY_CAMERA, 0),
                timer,
                clock,
                log);
        session.startAfresh();
    }

    /**
     * To the one camera of a network link while another link to it may be in use: the numbers are
     * not started anew, which would disturb the other where a camera keeps one count for all.
     */
    public static ViscaLink beside(
            Transport transport,
            Form form,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log) {
        ViscaDialect dialect = new ViscaDialect(form, ViscaDialect.ONLY_CAMERA, 0);
        ViscaLink link = new ViscaLink(transport, form, dialect, timer, clock, log);
        link.session.startApart();
        return link;
    }

    /**
     * To a camera of a serial line.
     *
     * @param camera 1 to 7
     * @param extraMillis what waiting for its turn and the wire itself add to an answer's time
     */
    public static ViscaLink onLine(
            Transport transport,
            int camera,
            int extraMillis,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log) {
        ViscaDialect dialect = new ViscaDialect(Form.RAW, camera, extraMillis);
        return new ViscaLink(transport, Form.RAW, dialect, timer, clock, log);
    }

    private ViscaLink(
            Transport transport,
            Form form,
            ViscaDialect dialect,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log) {
        session =
                new Session<>(
                        transport,
                        dialect,
                        timer,
                        clock,
                        log,
                        form == Form.HEADER ? this::tellFreshStart : () -> {});
    }

    /** A reset that is lost or refused does no harm: a number the camera refuses is given anew. */
    private void tellFreshStart() {
        IpPacket reset = new IpPacket(IpPacket.Type.CONTROL, 0, IpPacket.RESET);
        session.write(reset.encode(), "start sequence", false);
    }

    @Override
    public CompletableFuture<String> say(Octets frame) {
        ViscaRequest typed = new ViscaRequest.Raw(frame.slice(1, frame.size() - 1));
        return session.start(typed, false)
                .reply
                .thenApply(
                        r ->
                                r instanceof ViscaReply.Answer answer
                                        ? ViscaWords.of(typed, answer).orElse(ViscaWords.of(r))
                                        : ViscaWords.of(r));
    }

    @Override
    public CompletableFuture<Octets> tell(ProfileFrame what, boolean polling) {
        Octets body = what.frame().slice(1, what.frame().size() - 1);
        ViscaRequest raw = new ViscaRequest.Raw(body, what.answerOctets());
        return session.start(raw, polling, what.called())
                .reply
                .thenApply(r -> told(r, what.answerOctets().isPresent()));
    }

    private static Octets told(ViscaReply reply, boolean asked) {
        if (reply instanceof ViscaReply.Answer answer) {
            return answer.payload();
        } else if (reply instanceof ViscaReply.Refused || asked) {
            throw new NoAnswer(ViscaWords.of(reply));
        }
        return Octets.of();
    }

    @Override
    public Abilities can() {
        return CAN;
    }

    @Override
    public void onChainChanged(Runnable told) {
        session.onUnasked(
                reply -> {
                    if (reply instanceof ViscaReply.NetworkChanged) {
                        told.run();
                    }
                });
    }

    @Override
    public Health health() {
        return session.health();
    }

    @Override
    public CompletableFuture<Version> askVersion() {
        return ask(new ViscaRequest.AskVersion(), Version::decode, false);
    }

    @Override
    public CompletableFuture<PanTilt> askPanTilt(boolean polling) {
        return ask(new ViscaRequest.AskPanTilt(), PanTilt::decode, polling);
    }

    @Override
    public CompletableFuture<ZoomPosition> askZoom(boolean polling) {
        return ask(new ViscaRequest.AskZoom(), ZoomPosition::decode, polling);
    }

    @Override
    public CompletableFuture<ViscaReply> home() {
        return move(Moves.HEAD, new ViscaRequest.Home());
    }

    @Override
    public CompletableFuture<ViscaReply> recall(int preset, OptionalInt speed) {
        speed.ifPresent(
                s -> session.start(ViscaRequest.Sent.of(ViscaMessage.PRESET_SPEED, s), false));
        return move(Moves.HEAD, ViscaRequest.Sent.of(ViscaMessage.PRESET_RECALL, preset));
    }

    @Override
    public CompletableFuture<?> store(int preset) {
        return session.start(ViscaRequest.Sent.of(ViscaMessage.PRESET_SET, preset), false)
                .reply
                .thenApply(r -> told(r, false));
    }

    @Override
    public CompletableFuture<ViscaReply> drive(int pan, int tilt) {
        ViscaRequest.Drive drive = new ViscaRequest.Drive(pan, tilt);
        return drive.stops() ? stop(Moves.HEAD, drive) : move(Moves.HEAD, drive);
    }

    @Override
    public CompletableFuture<ViscaReply> zoom(int speed) {
        ViscaRequest.Zoom zoom = new ViscaRequest.Zoom(speed);
        return speed == 0 ? stop(Moves.LENS, zoom) : move(Moves.LENS, zoom);
    }

    @Override
    public CompletableFuture<ViscaReply> focus(int speed) {
        if (speed == 0) {
            return stop(Moves.FOCUS, ViscaDialect.FOCUS_STOP);
        }
        return move(
                Moves.FOCUS,
                speed > 0
                        ? ViscaRequest.Sent.of(ViscaMessage.FOCUS_FAR_AT, speed - 1)
                        : ViscaRequest.Sent.of(ViscaMessage.FOCUS_NEAR_AT, -speed - 1));
    }

    @Override
    public synchronized void has(Map<MoreAxis, AxisFrames> more) {
        axes = Map.copyOf(more);
    }

    @Override
    public synchronized CompletableFuture<?> axis(MoreAxis which, int step) {
        AxisFrames frames = axes.get(which);
        if (frames == null) {
            return HeadLink.super.axis(which, step);
        }
        ViscaRequest.Raw request = frames.request(step);
        Moves what = Moves.of(which);
        String words = step == 0 ? "stop " + which.word() : which.word() + " " + step;
        return step == 0
                ? stop(what, request, Optional.of(words))
                : move(what, request, Optional.of(words));
    }

    @Override
    public CompletableFuture<Integer> askAxis(MoreAxis which, boolean polling) {
        Optional<AxisFrames.Asked> asked =
                Optional.ofNullable(axes().get(which)).flatMap(AxisFrames::asked);
        if (asked.isEmpty()) {
            return HeadLink.super.askAxis(which, polling);
        }
        Octets body = asked.get().ask().fill(0);
        OptionalInt size = OptionalInt.of(asked.get().answer().size());
        return session.start(
                        new ViscaRequest.Raw(body, size),
                        polling,
                        Optional.of("ask " + which.word()))
                .reply
                .thenApply(r -> counts(asked.get(), told(r, true)));
    }

    private static Integer counts(AxisFrames.Asked asked, Octets payload) {
        return asked.read(payload).orElseThrow(() -> new NoAnswer("it did not say where it is"));
    }

    synchronized Map<MoreAxis, AxisFrames> axes() {
        return axes;
    }

    /** It was driven over this link, so that a stop has it to stop as well. */
    synchronized boolean focused() {
        return newest.containsKey(Moves.FOCUS);
    }

    @Override
    public CompletableFuture<Stopping.Outcome> stop() {
        return session.toldElsewhere(Stopping.stop(this));
    }

    private CompletableFuture<ViscaReply> move(Moves what, ViscaRequest motion) {
        return move(what, motion, Optional.empty());
    }

    private synchronized CompletableFuture<ViscaReply> move(
            Moves what, ViscaRequest motion, Optional<String> called) {
        motionsSent++;
        return replace(what, motion, called);
    }

    private CompletableFuture<ViscaReply> stop(Moves what, ViscaRequest stop) {
        return stop(what, stop, Optional.empty());
    }

    /** A stop that is owed already goes out once more; whoever waits for it goes on waiting. */
    private synchronized CompletableFuture<ViscaReply> stop(
            Moves what, ViscaRequest stop, Optional<String> called) {
        Exchange<ViscaRequest, ViscaReply> owed = newest.get(what);
        if (owed != null && ViscaDialect.stops(owed.request) && session.isUnderWay(owed)) {
            session.again(owed);
            return owed.reply;
        }
        return replace(what, stop, called);
    }

    private CompletableFuture<ViscaReply> replace(
            Moves what, ViscaRequest motion, Optional<String> called) {
        Exchange<ViscaRequest, ViscaReply> exchange =
                session.startInstead(
                        newest.get(what), motion, called, "replaced by a newer command");
        newest.put(what, exchange);
        return exchange.reply;
    }

    /** Whatever is under way in either socket; what is not there to be cancelled is no trouble. */
    void cancelMoves() {
        for (int socket = 1; socket <= SOCKETS; socket++) {
            session.start(ViscaRequest.Sent.of(ViscaMessage.CANCEL, socket), false);
        }
    }

    /** The slowest step one way; a stop must follow at once. */
    synchronized void nudge() {
        replace(Moves.HEAD, new ViscaRequest.Drive(1, 0), Optional.empty());
    }

    /** How many motions other than stops went out: by it a stop sees that it was overtaken. */
    synchronized long motionsSent() {
        return motionsSent;
    }

    boolean isClosed() {
        return session.isClosed();
    }

    private <T> CompletableFuture<T> ask(
            ViscaRequest inquiry, Function<Octets, Decoded<T>> reader, boolean polling) {
        return session.start(inquiry, polling).reply.thenApply(r -> read(r, reader));
    }

    private static <T> T read(ViscaReply reply, Function<Octets, Decoded<T>> reader) {
        if (reply instanceof ViscaReply.Answer answer) {
            Decoded<T> decoded = reader.apply(answer.payload());
            return decoded.toOptional().orElseThrow(() -> new NoAnswer(decoded.reason()));
        }
        throw new NoAnswer(ViscaWords.of(reply));
    }

    @Override
    public void close() {
        session.close();
    }
}
