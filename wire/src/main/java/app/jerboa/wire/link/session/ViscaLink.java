package app.jerboa.wire.link.session;

import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ViscaWords;
import app.jerboa.wire.visca.ZoomPosition;
import java.io.IOException;
import java.time.InstantSource;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;

/**
 * One camera over one transport. Requests are resent with the same sequence until answered or given
 * up; the newest motion replaces an older one that is still unanswered, and a stop replaces every
 * motion and is itself never given up. Frames go out first and are told to the log afterwards.
 */
public final class ViscaLink implements HeadLink {
    private static final int CAMERA = 1;

    /** A camera may refuse so many numbers of one request at once; then it waits for its resend. */
    private static final int QUICK_RENUMBERINGS = 1;

    /** What one motion is replaced by: the newest of its own kind. */
    private enum Moves {
        HEAD,
        LENS
    }

    private final Transport transport;
    private final Form form;
    private final ScheduledExecutorService timer;
    private final InstantSource clock;
    private final WireLog log;
    private final Map<Long, Exchange> underWay = new LinkedHashMap<>();
    private final Map<Moves, Exchange> newest = new EnumMap<>(Moves.class);
    private long nextSequence = 1;
    private long motionsSent;
    private boolean closed;

    public ViscaLink(
            Transport transport,
            Form form,
            ScheduledExecutorService timer,
            InstantSource clock,
            WireLog log) {
        this.transport = transport;
        this.form = form;
        this.timer = timer;
        this.clock = clock;
        this.log = log;
        transport.listen(this::received);
        if (form == Form.HEADER) {
            beginSequence();
        }
    }

    /** A reset that is lost or refused does no harm: a number the camera refuses is given anew. */
    private void beginSequence() {
        nextSequence = 1;
        IpPacket reset = new IpPacket(IpPacket.Type.CONTROL, 0, IpPacket.RESET);
        write(reset.encode(), "start sequence", false);
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
    public CompletableFuture<ViscaReply> drive(ViscaRequest.Drive drive) {
        return drive.stops() ? stop(Moves.HEAD, drive) : move(Moves.HEAD, drive);
    }

    @Override
    public CompletableFuture<ViscaReply> zoom(ViscaRequest.Zoom zoom) {
        return zoom.speed() == 0 ? stop(Moves.LENS, zoom) : move(Moves.LENS, zoom);
    }

    @Override
    public CompletableFuture<Stopping.Outcome> stop() {
        return Stopping.stop(this);
    }

    private synchronized CompletableFuture<ViscaReply> move(Moves what, ViscaRequest motion) {
        motionsSent++;
        return replace(what, motion);
    }

    /** A stop that is owed already goes out once more; whoever waits for it goes on waiting. */
    private synchronized CompletableFuture<ViscaReply> stop(Moves what, ViscaRequest stop) {
        Exchange owed = newest.get(what);
        if (owed != null && owed.stops() && underWay.containsKey(owed.sequence)) {
            write(owed.datagram, ViscaWords.of(owed.request), false);
            return owed.reply;
        }
        return replace(what, stop);
    }

    private CompletableFuture<ViscaReply> replace(Moves what, ViscaRequest motion) {
        Exchange older = newest.get(what);
        Exchange exchange = start(motion, false);
        newest.put(what, exchange);
        if (older != null && underWay.remove(older.sequence, older)) {
            fail(older, "replaced by a newer command");
        }
        return exchange.reply;
    }

    /** How many motions other than stops went out: by it a stop sees that it was overtaken. */
    synchronized long motionsSent() {
        return motionsSent;
    }

    synchronized boolean isClosed() {
        return closed;
    }

    private <T> CompletableFuture<T> ask(
            ViscaRequest inquiry, Function<Octets, Decoded<T>> reader, boolean polling) {
        return start(inquiry, polling).reply.thenApply(r -> read(r, reader));
    }

    private static <T> T read(ViscaReply reply, Function<Octets, Decoded<T>> reader) {
        if (reply instanceof ViscaReply.Answer answer) {
            Decoded<T> decoded = reader.apply(answer.payload());
            return decoded.toOptional().orElseThrow(() -> new NoAnswer(decoded.reason()));
        }
        throw new NoAnswer(ViscaWords.of(reply));
    }

    private synchronized Exchange start(ViscaRequest request, boolean polling) {
        Exchange exchange = new Exchange(request, polling);
        if (closed) {
            exchange.reply.completeExceptionally(new NoAnswer("the link is closed"));
            return exchange;
        }
        number(exchange);
        sendAndWatch(exchange);
        return exchange;
    }

    private void number(Exchange exchange) {
        while (underWay.containsKey(nextSequence)) {
            nextSequence = (nextSequence + 1) % IpPacket.SEQUENCES;
        }
        exchange.sequence = nextSequence;
        nextSequence = (nextSequence + 1) % IpPacket.SEQUENCES;
        Octets frame = exchange.request.encode(CAMERA);
        IpPacket.Type type =
                exchange.request.inquiry() ? IpPacket.Type.INQUIRY : IpPacket.Type.COMMAND;
        exchange.datagram =
                form == Form.HEADER ? new IpPacket(type, exchange.sequence, frame).encode() : frame;
        underWay.put(exchange.sequence, exchange);
    }

    private synchronized void sendAndWatch(Exchange exchange) {
        if (closed || underWay.get(exchange.sequence) != exchange) {
            return;
        }
        if (exchange.givenUp()) {
            underWay.remove(exchange.sequence);
            fail(exchange, "no answer to \"" + ViscaWords.of(exchange.request) + "\"");
            return;
        }
        exchange.sent++;
        try {
            timer.schedule(
                    () -> sendAndWatch(exchange), exchange.millisToResend(), TimeUnit.MILLISECONDS);
        } finally {
            write(exchange.datagram, ViscaWords.of(exchange.request), exchange.polling);
        }
    }

    /** On another thread: whoever waits may call back into this link, which is locked here. */
    private void fail(Exchange exchange, String why) {
        Runnable tell = () -> exchange.reply.completeExceptionally(new NoAnswer(why));
        try {
            timer.execute(tell);
        } catch (RejectedExecutionException stopping) {
            tell.run();
        }
    }

    private void write(Octets datagram, String meaning, boolean polling) {
        String said = meaning;
        try {
            transport.send(datagram);
        } catch (IOException e) {
            // Nothing listens there just now: the same to us as a lost datagram, and resent like
            // one.
            said = meaning + " (not sent: nothing listens there)";
        }
        note(WireLog.Direction.SENT, datagram, said, polling);
    }

    private void note(
            WireLog.Direction direction, Octets datagram, String meaning, boolean polling) {
        log.add(new WireLog.Entry(clock.instant(), direction, datagram, meaning, polling));
    }

    /** A reply and the request it belongs to. */
    private record Matched(Exchange exchange, ViscaReply reply) {}

    private void received(Octets datagram) {
        if (form == Form.RAW) {
            settle(datagram, matchFrame(datagram, Optional.empty()), ViscaWords.of(datagram));
            return;
        }
        IpPacket packet = IpPacket.decode(datagram).toOptional().orElse(null);
        if (packet == null) {
            note(WireLog.Direction.RECEIVED, datagram, "not understood", false);
        } else if (packet.type() == IpPacket.Type.CONTROL_REPLY) {
            settle(datagram, controlReply(packet), ViscaWords.ofControlReply(packet.payload()));
        } else {
            Optional<Matched> matched =
                    packet.type() == IpPacket.Type.REPLY
                            ? matchFrame(packet.payload(), Optional.of(packet.sequence()))
                            : Optional.empty();
            settle(datagram, matched, ViscaWords.of(packet.payload()));
        }
    }

    /** Outside the lock: whoever waits may call back into this link. */
    private void settle(Octets datagram, Optional<Matched> matched, String meaning) {
        boolean polling = matched.map(m -> m.exchange().polling).orElse(false);
        note(WireLog.Direction.RECEIVED, datagram, meaning, polling);
        matched.ifPresent(m -> m.exchange().reply.complete(m.reply()));
    }

    /**
     * A number refused on a resend means that the first was received: a command is done with, an
     * inquiry is asked anew. A number refused at once is given anew after a fresh start of the
     * sequence. What the camera could not read fails, but a stop, which goes on.
     */
    private synchronized Optional<Matched> controlReply(IpPacket packet) {
        Exchange exchange = underWay.get(packet.sequence());
        if (exchange == null) {
            return Optional.empty();
        }
        if (packet.payload().equals(IpPacket.SEQUENCE_ERROR)) {
            if (exchange.sent > 1 && exchange.renumbered == 0 && !exchange.request.inquiry()) {
                underWay.remove(exchange.sequence);
                return Optional.of(new Matched(exchange, new ViscaReply.Ack(0)));
            }
            renumber(exchange);
        } else if (packet.payload().equals(IpPacket.MESSAGE_ERROR) && !exchange.stops()) {
            underWay.remove(exchange.sequence);
            fail(exchange, "the camera could not read \"" + ViscaWords.of(exchange.request) + "\"");
        }
        return Optional.empty();
    }

    private void renumber(Exchange exchange) {
        underWay.remove(exchange.sequence);
        if (exchange.sent == 1) {
            beginSequence();
        }
        number(exchange);
        if (++exchange.renumbered <= QUICK_RENUMBERINGS) {
            write(exchange.datagram, ViscaWords.of(exchange.request), exchange.polling);
        }
    }

    private synchronized Optional<Matched> matchFrame(Octets frame, Optional<Long> sequence) {
        Optional<Matched> matched =
                ViscaReply.decode(frame)
                        .toOptional()
                        .flatMap(
                                reply ->
                                        requestFor(reply, sequence)
                                                .map(e -> new Matched(e, reply)));
        matched.ifPresent(m -> underWay.remove(m.exchange().sequence));
        return matched;
    }

    /** Without a sequence, a reply belongs to the oldest request of its kind. */
    private Optional<Exchange> requestFor(ViscaReply reply, Optional<Long> sequence) {
        return sequence.map(s -> Optional.ofNullable(underWay.get(s)))
                .orElseGet(
                        () ->
                                underWay.values().stream()
                                        .filter(e -> e.settledBy(reply))
                                        .findFirst())
                .filter(e -> e.settledBy(reply));
    }

    @Override
    public void close() {
        List<Exchange> left;
        synchronized (this) {
            closed = true;
            left = List.copyOf(underWay.values());
            underWay.clear();
        }
        transport.close();
        left.forEach(e -> fail(e, "the link was closed"));
    }
}
