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
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;

/**
 * One camera over one transport. Requests are resent with the same sequence until answered or given
 * up; the newest drive replaces an older one that is still unanswered.
 */
public final class ViscaLink implements AutoCloseable {
    /** Resend after this long without an answer. */
    public static final int TIMEOUT_MILLIS = 250;

    private static final int TRIES = 3;

    /** A stop is repeated faster and for longer: 40 times 75 ms. */
    private static final int STOP_TIMEOUT_MILLIS = 75;

    private static final int STOP_TRIES = 40;
    private static final int CAMERA = 1;

    private final Transport transport;
    private final Form form;
    private final ScheduledExecutorService timer;
    private final InstantSource clock;
    private final WireLog log;
    private final Map<Long, Exchange> underWay = new LinkedHashMap<>();
    private long nextSequence = 1;
    private Optional<Exchange> newestDrive = Optional.empty();
    private Optional<Exchange> newestZoom = Optional.empty();
    private long drivesSent;
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
            write(
                    new IpPacket(IpPacket.Type.CONTROL, 0, IpPacket.RESET).encode(),
                    "start sequence",
                    false);
        }
    }

    public CompletableFuture<Version> askVersion() {
        return ask(new ViscaRequest.AskVersion(), Version::decode, false);
    }

    /**
     * @param polling read-back rather than a person's question: marked so in the log
     */
    public CompletableFuture<PanTilt> askPanTilt(boolean polling) {
        return ask(new ViscaRequest.AskPanTilt(), PanTilt::decode, polling);
    }

    public CompletableFuture<ZoomPosition> askZoom(boolean polling) {
        return ask(new ViscaRequest.AskZoom(), ZoomPosition::decode, polling);
    }

    public CompletableFuture<ViscaReply> home() {
        return start(new ViscaRequest.Home(), TRIES, false).reply;
    }

    /** Goes out at once; an older drive that is still unanswered is given up. */
    public synchronized CompletableFuture<ViscaReply> drive(ViscaRequest.Drive drive) {
        drivesSent++;
        newestDrive.ifPresent(this::giveUp);
        Exchange exchange = start(drive, drive.stops() ? STOP_TRIES : TRIES, false);
        newestDrive = Optional.of(exchange);
        return exchange.reply;
    }

    public synchronized CompletableFuture<ViscaReply> zoom(ViscaRequest.Zoom zoom) {
        drivesSent++;
        newestZoom.ifPresent(this::giveUp);
        Exchange exchange = start(zoom, zoom.speed() == 0 ? STOP_TRIES : TRIES, false);
        newestZoom = Optional.of(exchange);
        return exchange.reply;
    }

    /**
     * How many drives, zooms and stops went out: whoever looks at a stop sees by it if it was
     * overtaken.
     */
    synchronized long drivesSent() {
        return drivesSent;
    }

    private <T> CompletableFuture<T> ask(
            ViscaRequest inquiry, Function<Octets, Decoded<T>> reader, boolean polling) {
        return start(inquiry, TRIES, polling).reply.thenApply(r -> read(r, reader));
    }

    private static <T> T read(ViscaReply reply, Function<Octets, Decoded<T>> reader) {
        if (reply instanceof ViscaReply.Answer answer) {
            Decoded<T> decoded = reader.apply(answer.payload());
            return decoded.toOptional().orElseThrow(() -> new NoAnswer(decoded.reason()));
        }
        throw new NoAnswer(ViscaWords.of(reply));
    }

    private synchronized Exchange start(ViscaRequest request, int tries, boolean polling) {
        Octets frame = request.encode(CAMERA);
        long sequence = nextSequence;
        nextSequence = (nextSequence + 1) % IpPacket.SEQUENCES;
        IpPacket.Type type = request.inquiry() ? IpPacket.Type.INQUIRY : IpPacket.Type.COMMAND;
        Octets datagram =
                form == Form.HEADER ? new IpPacket(type, sequence, frame).encode() : frame;
        Exchange exchange = new Exchange(sequence, request, datagram, polling, tries);
        if (closed) {
            exchange.reply.completeExceptionally(new NoAnswer("the link is closed"));
            return exchange;
        }
        underWay.put(sequence, exchange);
        sendOnce(exchange);
        return exchange;
    }

    private synchronized void sendOnce(Exchange exchange) {
        if (exchange.reply.isDone() || !underWay.containsKey(exchange.sequence)) {
            return;
        }
        if (exchange.triesLeft == 0 || closed) {
            underWay.remove(exchange.sequence);
            exchange.reply.completeExceptionally(
                    new NoAnswer("no answer to \"" + ViscaWords.of(exchange.request) + "\""));
            return;
        }
        exchange.triesLeft--;
        write(exchange.datagram, ViscaWords.of(exchange.request), exchange.polling);
        int wait = stops(exchange.request) ? STOP_TIMEOUT_MILLIS : TIMEOUT_MILLIS;
        timer.schedule(() -> sendOnce(exchange), wait, TimeUnit.MILLISECONDS);
    }

    private static boolean stops(ViscaRequest request) {
        return request.equals(ViscaRequest.Drive.STOP) || request.equals(ViscaRequest.Zoom.STOP);
    }

    private void giveUp(Exchange older) {
        if (underWay.remove(older.sequence) != null) {
            older.reply.completeExceptionally(new NoAnswer("replaced by a newer command"));
        }
    }

    private void write(Octets datagram, String meaning, boolean polling) {
        log.add(
                new WireLog.Entry(
                        clock.instant(), WireLog.Direction.SENT, datagram, meaning, polling));
        try {
            transport.send(datagram);
        } catch (IOException e) {
            // Nobody listens there just now: the same to us as a lost datagram, and resent like
            // one.
            log.add(
                    new WireLog.Entry(
                            clock.instant(),
                            WireLog.Direction.SENT,
                            datagram,
                            "not sent: nobody listens there",
                            polling));
        }
    }

    /** A reply and the request it belongs to. */
    private record Matched(Exchange exchange, ViscaReply reply) {}

    private void received(Octets datagram) {
        Optional<Matched> matched =
                form == Form.HEADER
                        ? matchPacket(datagram)
                        : matchFrame(datagram, Optional.empty());
        boolean polling = matched.map(m -> m.exchange().polling).orElse(false);
        log.add(
                new WireLog.Entry(
                        clock.instant(),
                        WireLog.Direction.RECEIVED,
                        datagram,
                        meaning(datagram),
                        polling));
        // Outside the lock: whoever waits may call back into this link.
        matched.ifPresent(m -> m.exchange().reply.complete(m.reply()));
    }

    private String meaning(Octets datagram) {
        if (form == Form.RAW) {
            return ViscaWords.of(datagram);
        }
        return IpPacket.decode(datagram)
                .toOptional()
                .map(
                        p ->
                                p.type() == IpPacket.Type.REPLY
                                        ? ViscaWords.of(p.payload())
                                        : "control reply")
                .orElse("not understood");
    }

    private Optional<Matched> matchPacket(Octets datagram) {
        return IpPacket.decode(datagram)
                .toOptional()
                .filter(p -> p.type() == IpPacket.Type.REPLY)
                .flatMap(p -> matchFrame(p.payload(), Optional.of(p.sequence())));
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

    private Optional<Exchange> requestFor(ViscaReply reply, Optional<Long> sequence) {
        if (sequence.isPresent()) {
            return Optional.ofNullable(underWay.get(sequence.get())).filter(e -> settles(e, reply));
        }
        return oldestFor(reply);
    }

    /** Without a sequence, a reply belongs to the oldest request of its kind. */
    private Optional<Exchange> oldestFor(ViscaReply reply) {
        return underWay.values().stream().filter(e -> settles(e, reply)).findFirst();
    }

    /**
     * A command is settled by its acknowledgement alone: a completion may belong to the command
     * before it. An inquiry is settled by an answer of its own shape.
     */
    private static boolean settles(Exchange exchange, ViscaReply reply) {
        if (reply instanceof ViscaReply.Refused) {
            return true;
        }
        return exchange.request.inquiry()
                ? reply instanceof ViscaReply.Answer answer && fits(exchange.request, answer)
                : reply instanceof ViscaReply.Ack;
    }

    private static boolean fits(ViscaRequest inquiry, ViscaReply.Answer answer) {
        int expected =
                inquiry instanceof ViscaRequest.AskPanTilt
                        ? 8
                        : inquiry instanceof ViscaRequest.AskZoom ? 4 : 7;
        return answer.payload().size() == expected;
    }

    @Override
    public synchronized void close() {
        closed = true;
        underWay.values()
                .forEach(e -> e.reply.completeExceptionally(new NoAnswer("the link was closed")));
        underWay.clear();
        transport.close();
    }
}
