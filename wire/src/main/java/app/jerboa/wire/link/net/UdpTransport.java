package app.jerboa.wire.link.net;

import app.jerboa.wire.link.Listeners;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WirePath;
import app.jerboa.wire.octets.Octets;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.PortUnreachableException;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.channels.SelectionKey;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A connected UDP socket of its own: only datagrams from its peer arrive. Sending is done when it
 * returns, on the thread that sends.
 */
public final class UdpTransport implements Transport {
    private static final int LONGEST = 2048;

    private final SocketReader reader;
    private final DatagramChannel channel;
    private final ByteBuffer in = ByteBuffer.allocate(LONGEST);
    private final Optional<WirePath> path;
    private final Listeners listeners = new Listeners();

    private UdpTransport(SocketReader reader, DatagramChannel channel) throws IOException {
        this.reader = reader;
        this.channel = channel;
        this.path =
                Optional.of(
                        new WirePath(
                                true,
                                (InetSocketAddress) channel.getLocalAddress(),
                                (InetSocketAddress) channel.getRemoteAddress()));
    }

    @Override
    public Optional<WirePath> path() {
        return path;
    }

    public static UdpTransport open(InetSocketAddress peer) throws IOException {
        DatagramChannel channel = DatagramChannel.open();
        try {
            channel.connect(peer);
            UdpTransport transport = new UdpTransport(SocketReader.shared(), channel);
            transport.reader.register(channel, SelectionKey.OP_READ, key -> transport.read());
            return transport;
        } catch (IOException e) {
            channel.close();
            throw e;
        }
    }

    /** One datagram: of more the reader tells again, and others have their turn between. */
    private void read() throws IOException {
        in.clear();
        int size;
        try {
            size = channel.read(in);
        } catch (PortUnreachableException shut) {
            // A camera that restarts: time-outs above tell the caller.
            return;
        }
        if (size > 0) {
            listeners.tell(Octets.of(Arrays.copyOf(in.array(), size)));
        }
    }

    @Override
    public void send(Octets octets, Sent sent) {
        try {
            channel.write(ByteBuffer.wrap(octets.toArray()));
            sent.sent(Optional.empty());
        } catch (IOException e) {
            sent.sent(Optional.of("nothing listens there"));
        }
    }

    @Override
    public Subscription listen(Consumer<Octets> onOctets) {
        return listeners.add(onOctets);
    }

    @Override
    public void close() {
        reader.close(channel);
    }
}
