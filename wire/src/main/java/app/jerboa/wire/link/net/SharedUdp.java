package app.jerboa.wire.link.net;

import app.jerboa.wire.link.Listeners;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WirePath;
import app.jerboa.wire.octets.Octets;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.channels.SelectionKey;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;

/**
 * One UDP socket for many cameras, on the port that they answer to: some answer to port 52381 of
 * whoever asks, whatever port the question came from. Who answers is told by the address alone, so
 * that each address has one link here; a second one gets a socket of its own.
 */
public final class SharedUdp implements AutoCloseable {
    private static final int LONGEST = 2048;

    private final DatagramChannel channel;
    private final InetSocketAddress local;
    private final ByteBuffer in = ByteBuffer.allocate(LONGEST);
    private final Map<InetAddress, Peer> peers = new ConcurrentHashMap<>();

    private SharedUdp(DatagramChannel channel) throws IOException {
        this.channel = channel;
        this.local = (InetSocketAddress) channel.getLocalAddress();
    }

    /**
     * @throws java.net.BindException when another program holds the port
     */
    public static SharedUdp bind(InetSocketAddress at) throws IOException {
        DatagramChannel channel = DatagramChannel.open();
        try {
            channel.bind(at);
            SharedUdp shared = new SharedUdp(channel);
            SocketReader.shared().register(channel, SelectionKey.OP_READ, key -> shared.read());
            return shared;
        } catch (IOException e) {
            channel.close();
            throw e;
        }
    }

    public int port() {
        return local.getPort();
    }

    private void read() throws IOException {
        while (true) {
            in.clear();
            InetSocketAddress from = (InetSocketAddress) channel.receive(in);
            if (from == null) {
                return;
            }
            Peer peer = peers.get(from.getAddress());
            if (peer != null) {
                peer.listeners.tell(Octets.of(Arrays.copyOf(in.array(), in.position())));
            }
        }
    }

    /** A link to that address over this socket; empty when it has one already. */
    public Optional<Transport> to(InetSocketAddress camera) {
        Peer peer = new Peer(camera);
        return peers.putIfAbsent(camera.getAddress(), peer) == null
                ? Optional.of(peer)
                : Optional.empty();
    }

    private final class Peer implements Transport {
        private final InetSocketAddress at;
        private final Optional<WirePath> path;
        private final Listeners listeners = new Listeners();

        Peer(InetSocketAddress at) {
            this.at = at;
            this.path = Optional.of(new WirePath(true, local, at));
        }

        @Override
        public Optional<WirePath> path() {
            return path;
        }

        @Override
        public void send(Octets octets, Sent sent) {
            try {
                channel.send(ByteBuffer.wrap(octets.toArray()), at);
                sent.sent(Optional.empty());
            } catch (IOException e) {
                sent.sent(Optional.of("it could not be sent: " + e.getMessage()));
            }
        }

        @Override
        public Subscription listen(Consumer<Octets> onOctets) {
            return listeners.add(onOctets);
        }

        @Override
        public void close() {
            peers.remove(at.getAddress(), this);
        }
    }

    @Override
    public void close() {
        SocketReader.shared().close(channel);
    }
}
