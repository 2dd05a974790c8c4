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
import java.util.function.Consumer;

/** A TCP port with room for one: whoever comes while it is taken is put out at once. */
public final class TcpPort implements DevicePort {
    private static final int LONGEST = 4096;

    /** What a device does with what comes in. */
    public interface Ear {
        void hear(Octets chunk, Consumer<Octets> reply);

        /** Somebody new: half a frame of before is nothing now. */
        void afresh();
    }

    private final ServerSocketChannel server;
    private final Protocol protocol;
    private final Ear ear;
    private final ByteBuffer in = ByteBuffer.allocate(LONGEST);
    private SocketChannel client;

    private TcpPort(ServerSocketChannel server, Protocol protocol, Ear ear) {
        this.server = server;
        this.protocol = protocol;
        this.ear = ear;
    }

    /**
     * @param at port 0 takes any free one
     */
    public static TcpPort open(InetSocketAddress at, Protocol protocol, Ear ear)
            throws IOException {
        ServerSocketChannel server = ServerSocketChannel.open();
        try {
            server.bind(at);
            TcpPort port = new TcpPort(server, protocol, ear);
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

    private synchronized void accept() throws IOException {
        SocketChannel next = server.accept();
        if (next == null) {
            return;
        }
        if (client != null) {
            next.close();
            return;
        }
        client = next;
        ear.afresh();
        SocketReader.shared().register(next, SelectionKey.OP_READ, key -> read(next));
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
            ear.hear(Octets.of(Arrays.copyOf(in.array(), size)), octets -> send(from, octets));
        }
    }

    private synchronized void send(SocketChannel to, Octets octets) {
        if (client != to) {
            return;
        }
        ByteBuffer out = ByteBuffer.wrap(octets.toArray());
        try {
            to.write(out);
        } catch (IOException e) {
            gone(to);
        }
        if (out.hasRemaining()) {
            gone(to);
        }
    }

    private synchronized void gone(SocketChannel which) {
        SocketReader.shared().close(which);
        if (client == which) {
            client = null;
        }
    }

    @Override
    public synchronized void close() {
        SocketReader.shared().close(server);
        if (client != null) {
            gone(client);
        }
    }
}
