package app.jerboa.standin.device;

import app.jerboa.core.profile.Protocol;
import app.jerboa.wire.link.net.SocketReader;
import app.jerboa.wire.octets.Octets;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.SelectionKey;
import java.nio.channels.ServerSocketChannel;
import java.nio.channels.SocketChannel;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** A TCP port with room for few: whoever comes while it is taken is put out at once. */
public final class TcpPort implements DevicePort {
    private static final int LONGEST = 4096;

    /** What a device does with what comes in. */
    public interface Ear {
        void hear(Octets chunk, Consumer<Octets> reply);

        /** Somebody new: half a frame of before is nothing now. */
        void afresh();

        /** What comes in is for this one; else the stream breaks. */
        default boolean stays() {
            return true;
        }

        /** A way to say something unasked, as long as somebody is there. */
        default void open(Consumer<Octets> say) {}

        /** Nobody is there any more. */
        default void gone() {}

        /** What the next one is told when there is no room. */
        default Octets full() {
            return Octets.of();
        }
    }

    private final ServerSocketChannel server;
    private final Protocol protocol;
    private final int room;
    private final Supplier<Ear> ears;
    private final ByteBuffer in = ByteBuffer.allocate(LONGEST);
    private final Map<SocketChannel, Ear> clients = new LinkedHashMap<>();

    private TcpPort(ServerSocketChannel server, Protocol protocol, int room, Supplier<Ear> ears) {
        this.server = server;
        this.protocol = protocol;
        this.room = room;
        this.ears = ears;
    }

    /**
     * With room for one.
     *
     * @param at port 0 takes any free one
     */
    public static TcpPort open(InetSocketAddress at, Protocol protocol, Ear ear)
            throws IOException {
        return open(at, protocol, 1, () -> ear);
    }

    /**
     * @param room for so many at once
     * @param ears one for each that comes
     */
    public static TcpPort open(
            InetSocketAddress at, Protocol protocol, int room, Supplier<Ear> ears)
            throws IOException {
        ServerSocketChannel server = ServerSocketChannel.open();
        try {
            server.bind(at);
            TcpPort port = new TcpPort(server, protocol, room, ears);
            SocketReader.shared().register(server, SelectionKey.OP_ACCEPT, key -> port.accept());
            return port;
        } catch (IOException e) {
            server.close();
            throw e;
        }
    }

    @Override
    public Protocol protocol() {
        return protocol;
    }

    @Override
    public int port() {
        return server.socket().getLocalPort();
    }

    /** Ears are spoken to outside the lock of this port: they have locks of their own. */
    private void accept() throws IOException {
        SocketChannel next = server.accept();
        if (next == null) {
            return;
        }
        Ear ear = ears.get();
        if (!takes(next, ear)) {
            next.write(ByteBuffer.wrap(ear.full().toArray()));
            next.close();
            return;
        }
        ear.afresh();
        ear.open(octets -> send(next, octets));
        SocketReader.shared().register(next, SelectionKey.OP_READ, key -> read(next));
    }

    private synchronized boolean takes(SocketChannel next, Ear ear) {
        if (clients.size() == room) {
            return false;
        }
        clients.put(next, ear);
        return true;
    }

    private synchronized Optional<Ear> ear(SocketChannel of) {
        return Optional.ofNullable(clients.get(of));
    }

    private void read(SocketChannel from) {
        in.clear();
        int size;
        try {
            size = from.read(in);
        } catch (IOException reset) {
            size = -1;
        }
        if (size < 0) {
            gone(from);
        } else if (size > 0) {
            Octets chunk = Octets.of(Arrays.copyOf(in.array(), size));
            Optional<Ear> there = ear(from);
            if (there.filter(e -> !e.stays()).isPresent()) {
                gone(from);
            } else {
                there.ifPresent(e -> e.hear(chunk, octets -> send(from, octets)));
            }
        }
    }

    private void send(SocketChannel to, Octets octets) {
        if (!written(to, octets)) {
            gone(to);
        }
    }

    /** False for one that takes no more; true also for one that has gone already. */
    private synchronized boolean written(SocketChannel to, Octets octets) {
        if (!clients.containsKey(to)) {
            return true;
        }
        ByteBuffer out = ByteBuffer.wrap(octets.toArray());
        try {
            to.write(out);
        } catch (IOException e) {
            return false;
        }
        return !out.hasRemaining();
    }

    private void gone(SocketChannel which) {
        SocketReader.shared().close(which);
        removed(which).ifPresent(Ear::gone);
    }

    private synchronized Optional<Ear> removed(SocketChannel which) {
        return Optional.ofNullable(clients.remove(which));
    }

    private synchronized List<SocketChannel> there() {
        return List.copyOf(clients.keySet());
    }

    /**
     * Ears are told later: one that hears just now keeps its lock, and may wait for whoever closes
     * this.
     */
    @Override
    public void close() {
        SocketReader.shared().close(server);
        for (SocketChannel client : there()) {
            SocketReader.shared().close(client);
            removed(client).ifPresent(ear -> Timers.SHARED.execute(ear::gone));
        }
    }
}
