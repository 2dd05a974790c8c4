package app.jerboa.wire.link.udp;

import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.octets.Octets;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetSocketAddress;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A connected UDP socket with one reader thread; only datagrams from its own peer arrive. */
public final class UdpTransport implements Transport {
    private static final Logger LOG = LoggerFactory.getLogger(UdpTransport.class);
    private static final int LONGEST = 2048;

    private final DatagramSocket socket;
    private final List<Consumer<Octets>> listeners = new CopyOnWriteArrayList<>();

    private UdpTransport(DatagramSocket socket) {
        this.socket = socket;
    }

    public static UdpTransport open(InetSocketAddress peer) throws IOException {
        DatagramSocket socket = new DatagramSocket();
        socket.connect(peer);
        UdpTransport transport = new UdpTransport(socket);
        Thread reader = new Thread(transport::read, "udp-" + peer.getPort());
        reader.setDaemon(true);
        reader.start();
        return transport;
    }

    private void read() {
        DatagramPacket packet = new DatagramPacket(new byte[LONGEST], LONGEST);
        while (!socket.isClosed()) {
            try {
                packet.setLength(LONGEST);
                socket.receive(packet);
                handOn(Octets.of(Arrays.copyOf(packet.getData(), packet.getLength())));
            } catch (IOException e) {
                // The peer's port is shut (a camera restarting) or the socket was closed: the loop
                // condition tells which, and time-outs above tell the caller.
                Thread.onSpinWait();
            }
        }
    }

    /** A listener that fails at a datagram must not end the reading of the next. */
    private void handOn(Octets octets) {
        for (Consumer<Octets> listener : listeners) {
            try {
                listener.accept(octets);
            } catch (RuntimeException e) {
                LOG.warn("a datagram of {} octets could not be handled", octets.size(), e);
            }
        }
    }

    @Override
    public void send(Octets octets) throws IOException {
        byte[] bytes = octets.toArray();
        socket.send(new DatagramPacket(bytes, bytes.length));
    }

    @Override
    public Subscription listen(Consumer<Octets> onOctets) {
        listeners.add(onOctets);
        return () -> listeners.remove(onOctets);
    }

    @Override
    public void close() {
        socket.close();
    }
}
