package app.jerboa.wire.link.net;

import app.jerboa.wire.link.Listeners;
import app.jerboa.wire.link.Stream;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.WirePath;
import app.jerboa.wire.octets.Octets;
import java.io.IOException;
import java.net.ConnectException;
import java.net.InetSocketAddress;
import java.net.StandardSocketOptions;
import java.nio.ByteBuffer;
import java.nio.channels.SelectionKey;
import java.nio.channels.SocketChannel;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A TCP connection that is made anew, with growing pauses, until it is closed here. Nothing is kept
 * for later: what cannot go out now is not sent, so that no old drive moves a head after a pause.
 */
public final class TcpStream implements Stream {
    private static final Logger LOG = LoggerFactory.getLogger(TcpStream.class);
    private static final int LONGEST = 4096;
    private static final int[] PAUSES_MILLIS = {100, 250, 500, 1_000, 2_000, 5_000};

    /** A connection attempt that hangs longer is given up: nobody is at that address. */
    private static final int CONNECT_MILLIS = 3_000;

    /** Ended sooner than this, somebody else holds its only place. */
    private static final long AT_ONCE_NANOS = TimeUnit.MILLISECONDS.toNanos(500);

    private final InetSocketAddress peer;
    private final ScheduledExecutorService timer;
    private final SocketReader reader = SocketReader.shared();
    private final ByteBuffer in = ByteBuffer.allocate(LONGEST);
    private final Listeners listeners = new Listeners();
    private final List<Runnable> onOpen = new CopyOnWriteArrayList<>();
    private SocketChannel channel;
    private Optional<WirePath> path = Optional.empty();
    private boolean open;
    private boolean closed;
    private long openedAt;
    private int failures;
    private String why = "not connected yet";

    private TcpStream(InetSocketAddress peer, ScheduledExecutorService timer) {
        this.peer = peer;
        this.timer = timer;
    }

    /** Connects by itself; returns at once. */
    public static TcpStream open(InetSocketAddress peer, ScheduledExecutorService timer) {
        TcpStream stream = new TcpStream(peer, timer);
        stream.connect();
        return stream;
    }

    /** Who hears that it is open has locks of its own: told outside ours. */
    private void connect() {
        try {
            if (begun()) {
                opened();
            }
        } catch (IOException e) {
            synchronized (this) {
                lost(reason(e));
            }
        }
    }

    /** It is connected at once, which is rare. */
    private synchronized boolean begun() throws IOException {
        if (closed) {
            return false;
        }
        SocketChannel fresh = SocketChannel.open();
        channel = fresh;
        fresh.setOption(StandardSocketOptions.TCP_NODELAY, true);
        fresh.configureBlocking(false);
        boolean done = fresh.connect(peer);
        int interest = done ? SelectionKey.OP_READ : SelectionKey.OP_CONNECT;
        reader.register(fresh, interest, key -> ready(fresh, key));
        if (!done) {
            after(CONNECT_MILLIS, () -> giveUp(fresh));
        }
        return done;
    }

    private synchronized void giveUp(SocketChannel attempt) {
        if (channel == attempt && !open) {
            lost("nothing answers at that address");
        }
    }

    private void ready(SocketChannel of, SelectionKey key) {
        try {
            if (key.isConnectable() && of.finishConnect()) {
                key.interestOps(SelectionKey.OP_READ);
                opened();
            } else if (key.isReadable()) {
                read(of);
            }
        } catch (IOException e) {
            lostIf(of, reason(e));
        }
    }

    private void opened() throws IOException {
        synchronized (this) {
            if (channel == null) {
                return;
            }
            path =
                    Optional.of(
                            new WirePath(
                                    false, (InetSocketAddress) channel.getLocalAddress(), peer));
            open = true;
            openedAt = System.nanoTime();
        }
        onOpen.forEach(Runnable::run);
    }

    private void read(SocketChannel of) throws IOException {
        in.clear();
        int size = of.read(in);
        if (size < 0) {
            boolean atOnce = System.nanoTime() - openedAt < AT_ONCE_NANOS;
            lostIf(
                    of,
                    atOnce
                            ? "it closed the connection at once: another program may hold its only place"
                            : "it closed the connection");
        } else if (size > 0) {
            synchronized (this) {
                failures = 0;
            }
            listeners.tell(Octets.of(Arrays.copyOf(in.array(), size)));
        }
    }

    private synchronized void lostIf(SocketChannel of, String reason) {
        if (channel == of) {
            lost(reason);
        }
    }

    private synchronized void lost(String reason) {
        open = false;
        why = reason;
        if (channel != null) {
            reader.close(channel);
            channel = null;
        }
        if (!closed) {
            int pause = PAUSES_MILLIS[Math.min(failures++, PAUSES_MILLIS.length - 1)];
            LOG.debug("{}: {}; again in {} ms", peer, reason, pause);
            after(pause, this::connect);
        }
    }

    private void after(int millis, Runnable task) {
        try {
            timer.schedule(task, millis, TimeUnit.MILLISECONDS);
        } catch (RejectedExecutionException stopping) {
            LOG.debug("stopping");
        }
    }

    private static String reason(IOException e) {
        return e instanceof ConnectException
                ? "the port is shut: the device is restarting, or does not serve it"
                : "it cannot be reached: " + e.getMessage();
    }

    /** What does not go out whole ends the connection: half a frame would garble the next. */
    @Override
    public void send(Octets octets, Sent sent) {
        sent.sent(write(octets));
    }

    private synchronized Optional<String> write(Octets octets) {
        if (!open) {
            return Optional.of(why);
        }
        ByteBuffer out = ByteBuffer.wrap(octets.toArray());
        try {
            channel.write(out);
        } catch (IOException e) {
            lost(reason(e));
            return Optional.of(why);
        }
        if (out.hasRemaining()) {
            lost("it takes nothing any more");
            return Optional.of(why);
        }
        return Optional.empty();
    }

    @Override
    public Subscription listen(Consumer<Octets> onOctets) {
        return listeners.add(onOctets);
    }

    @Override
    public Subscription onOpen(Runnable opened) {
        onOpen.add(opened);
        return () -> onOpen.remove(opened);
    }

    @Override
    public synchronized Optional<WirePath> path() {
        return path;
    }

    @Override
    public synchronized Optional<String> trouble() {
        return open ? Optional.empty() : Optional.of(why);
    }

    @Override
    public synchronized void close() {
        closed = true;
        open = false;
        why = "the link is closed";
        if (channel != null) {
            reader.close(channel);
            channel = null;
        }
    }
}
