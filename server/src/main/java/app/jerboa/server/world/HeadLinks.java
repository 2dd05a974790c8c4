package app.jerboa.server.world;

import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.words.Words;
import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.link.FramedStream;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.line.ChainNumbering;
import app.jerboa.wire.link.line.DLine;
import app.jerboa.wire.link.line.SharedLine;
import app.jerboa.wire.link.line.ViscaLine;
import app.jerboa.wire.link.net.SharedUdp;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.net.UdpTransport;
import app.jerboa.wire.link.session.BusLink;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.session.ViscaLink;
import app.jerboa.wire.visca.IpPacket;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.time.InstantSource;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Opens links to heads, whatever the world. The heads of one serial server share its connection,
 * which is let go with the last of them: many servers have room for one.
 */
@Component
public class HeadLinks {
    private static final Logger LOG = LoggerFactory.getLogger(HeadLinks.class);
    private static final int TIMERS = 2;

    /** A line that nobody uses any more is kept so long: a stop that is tried aside comes back. */
    private static final int IDLE_SECONDS = 5;

    /** A drive of one head waits for those of the others on its line. */
    private static final int WAITS_ON_LINE_MILLIS = 150;

    /** For time-outs, pacing and reconnecting, and for telling who waits. */
    private final ScheduledExecutorService timer =
            Executors.newScheduledThreadPool(
                    TIMERS,
                    task -> {
                        Thread thread = new Thread(task, "links");
                        thread.setDaemon(true);
                        return thread;
                    });

    /** By serial server, or by path of a serial port. */
    private final Map<String, Line> lines = new HashMap<>();

    private final Map<String, SharedUdp> sockets = new HashMap<>();

    private static final class Line {
        final SharedLine line;
        final ChainOrBus lead;
        int users;

        Line(SharedLine line, ChainOrBus lead) {
            this.line = line;
            this.lead = lead;
        }
    }

    /**
     * A link over the network to one that answers; the caller closes it.
     *
     * @throws NoAnswer when it has no port for the protocol
     */
    public HeadLink open(Answering to, Protocol protocol, WireLog log) {
        return network(to, protocol, log, false);
    }

    /**
     * As {@link #open}, to one that another link may be driving: nothing is begun anew there.
     *
     * @throws NoAnswer when it has no port for the protocol
     */
    public HeadLink beside(Answering to, Protocol protocol, WireLog log) {
        return network(to, protocol, log, true);
    }

    /**
     * Has every camera of a chain take a number, 1 for the nearest.
     *
     * @return how many did; fails when nothing comes back: the chain is broken, reversed or off
     */
    public CompletableFuture<Integer> numberChain(
            LineStart at, DeskWay.OverLine chain, WireLog log) {
        SharedLine line = hold(at, chain);
        return new ChainNumbering(line, timer, InstantSource.system(), log)
                .start()
                .whenComplete((count, failure) -> release(at.key()));
    }

    private HeadLink network(Answering to, Protocol protocol, WireLog log, boolean beside) {
        Form form = protocol == Protocol.VISCA_IP ? Form.HEADER : Form.RAW;
        Transport transport = transport(to, to.at(protocol), protocol);
        InstantSource clock = InstantSource.system();
        return beside
                ? ViscaLink.beside(transport, form, timer, clock, log)
                : new ViscaLink(transport, form, timer, clock, log);
    }

    private Transport transport(Answering to, InetSocketAddress at, Protocol protocol) {
        if (protocol == Protocol.VISCA_TCP) {
            return new FramedStream(TcpStream.open(at, timer));
        }
        try {
            Optional<Transport> shared =
                    protocol == Protocol.VISCA_IP
                            ? to.from().flatMap(from -> shared(from)).flatMap(s -> s.to(at))
                            : Optional.empty();
            return shared.isPresent() ? shared.get() : UdpTransport.open(at);
        } catch (IOException e) {
            throw new UncheckedIOException("no link to " + at, e);
        }
    }

    /**
     * The socket on VISCA's own port at an address of this machine: some cameras answer there,
     * whatever port asked. While another program holds it each link has a port of its own, and such
     * cameras seem silent.
     */
    private synchronized Optional<SharedUdp> shared(String from) {
        SharedUdp open = sockets.get(from);
        if (open == null) {
            try {
                open = SharedUdp.bind(new InetSocketAddress(from, IpPacket.PORT));
                sockets.put(from, open);
            } catch (IOException e) {
                LOG.info(
                        "port {} at {} is held by another program: cameras that answer only there will seem silent",
                        IpPacket.PORT,
                        from);
            }
        }
        return Optional.ofNullable(open);
    }

    /** A link over a serial line, which is shared with all others on it; the caller closes it. */
    public HeadLink onLine(LineStart at, DeskWay.OverLine way, WireLog log) {
        SharedLine line = hold(at, way);
        InstantSource clock = InstantSource.system();
        Runnable release = () -> release(at.key());
        return way.protocol() == Protocol.D_PROTOCOL
                ? new BusLink(
                        line.to(way.number(), new DLine(DForm.D), release),
                        DForm.D,
                        way.number(),
                        way.tells(),
                        timer,
                        clock,
                        log)
                : ViscaLink.onLine(
                        line.to(way.number(), new ViscaLine(), release),
                        way.number(),
                        WAITS_ON_LINE_MILLIS,
                        timer,
                        clock,
                        log);
    }

    /**
     * A port of this machine holds one lead at a time: another one, with a rate of its own, is
     * opened once nobody uses the first.
     */
    private synchronized SharedLine hold(LineStart at, DeskWay.OverLine way) {
        Line open = lines.get(at.key());
        if (open != null && at instanceof LineStart.OwnPort && !open.lead.isLeadOf(way.line())) {
            if (open.users > 0) {
                throw Contacts.cannot(
                        Words.say("drive.lead-in-use", Map.of("to", way.from().name())));
            }
            lines.remove(at.key());
            open.line.close();
        }
        Line line = lines.computeIfAbsent(at.key(), k -> new Line(opened(at, way), way.line()));
        line.users++;
        return line.line;
    }

    private SharedLine opened(LineStart at, DeskWay.OverLine way) {
        return new SharedLine(
                at.open(way.rate(), timer),
                way.rate().baud(),
                way.rate().bitsPerCharacter(),
                SharedLine.PACED,
                timer,
                System::nanoTime);
    }

    private synchronized void release(String at) {
        if (--lines.get(at).users == 0 && !timer.isShutdown()) {
            timer.schedule(() -> letGo(at), IDLE_SECONDS, TimeUnit.SECONDS);
        }
    }

    private synchronized void letGo(String at) {
        Line line = lines.get(at);
        if (line != null && line.users == 0) {
            lines.remove(at);
            line.line.close();
        }
    }

    @PreDestroy
    synchronized void close() {
        timer.shutdownNow();
        lines.values().forEach(l -> l.line.close());
        sockets.values().forEach(SharedUdp::close);
    }
}
