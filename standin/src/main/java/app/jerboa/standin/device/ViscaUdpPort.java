package app.jerboa.standin.device;

import app.jerboa.core.profile.Protocol;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetSocketAddress;
import java.net.SocketAddress;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** One UDP port of a simulated head, in either form. Whatever arrives, it goes on serving. */
public final class ViscaUdpPort implements DevicePort {
    private static final int LONGEST = 2048;
    private static final int CAMERA = 1;

    /**
     * A controller that resends is answered again, not obeyed again: this many requests are
     * remembered.
     */
    private static final int REMEMBERED = 64;

    private record Seen(SocketAddress from, long sequence) {}

    private final DatagramSocket socket;
    private final Form form;
    private final SimulatedHead head;
    private final Map<Seen, List<byte[]>> answered = new LinkedHashMap<>();

    private ViscaUdpPort(DatagramSocket socket, Form form, SimulatedHead head) {
        this.socket = socket;
        this.form = form;
        this.head = head;
    }

    /**
     * @param at port 0 takes any free one
     */
    public static ViscaUdpPort open(InetSocketAddress at, Form form, SimulatedHead head)
            throws IOException {
        ViscaUdpPort port = new ViscaUdpPort(new DatagramSocket(at), form, head);
        Thread thread = new Thread(port::serve, "visca-" + port.port());
        thread.setDaemon(true);
        thread.start();
        return port;
    }

    @Override
    public Protocol protocol() {
        return form == Form.HEADER ? Protocol.VISCA_IP : Protocol.VISCA_UDP;
    }

    @Override
    public int port() {
        return socket.getLocalPort();
    }

    private void serve() {
        DatagramPacket packet = new DatagramPacket(new byte[LONGEST], LONGEST);
        while (!socket.isClosed()) {
            try {
                packet.setLength(LONGEST);
                socket.receive(packet);
                Octets datagram = Octets.of(Arrays.copyOf(packet.getData(), packet.getLength()));
                if (form == Form.HEADER) {
                    receivedPacket(datagram, packet.getSocketAddress());
                } else {
                    receivedFrame(datagram, r -> send(r, packet.getSocketAddress()));
                }
            } catch (IOException e) {
                // Closed, or the last sender's port is gone: neither may stop the others.
                Thread.onSpinWait();
            }
        }
    }

    private void receivedPacket(Octets datagram, SocketAddress from) {
        IpPacket packet = IpPacket.decode(datagram).toOptional().orElse(null);
        if (packet == null) {
            send(
                    new IpPacket(IpPacket.Type.CONTROL_REPLY, 0, IpPacket.MESSAGE_ERROR).encode(),
                    from);
            return;
        }
        switch (packet.type()) {
            case CONTROL -> receivedControl(packet, from);
            case COMMAND, INQUIRY -> receivedRequest(packet, from);
            case REPLY, CONTROL_REPLY, DEVICE_SETTING ->
                    send(controlReply(packet, IpPacket.MESSAGE_ERROR), from);
        }
    }

    private void receivedControl(IpPacket packet, SocketAddress from) {
        boolean reset = packet.payload().equals(IpPacket.RESET);
        if (reset) {
            answered.keySet().removeIf(s -> s.from().equals(from));
        }
        send(controlReply(packet, reset ? IpPacket.RESET : IpPacket.MESSAGE_ERROR), from);
    }

    private static Octets controlReply(IpPacket to, Octets payload) {
        return new IpPacket(IpPacket.Type.CONTROL_REPLY, to.sequence(), payload).encode();
    }

    private void receivedRequest(IpPacket packet, SocketAddress from) {
        Seen seen = new Seen(from, packet.sequence());
        List<byte[]> before = answered.get(seen);
        if (before != null) {
            List.copyOf(before).forEach(bytes -> send(Octets.of(bytes), from));
            return;
        }
        List<byte[]> replies = Collections.synchronizedList(new ArrayList<>());
        answered.put(seen, replies);
        if (answered.size() > REMEMBERED) {
            answered.remove(answered.keySet().iterator().next());
        }
        receivedFrame(
                packet.payload(),
                reply -> {
                    Octets octets =
                            new IpPacket(IpPacket.Type.REPLY, packet.sequence(), reply).encode();
                    replies.add(octets.toArray());
                    send(octets, from);
                });
    }

    private void receivedFrame(Octets frame, Consumer<Octets> reply) {
        ViscaRequest request =
                ViscaRequest.decode(frame)
                        .toOptional()
                        .filter(a -> a.camera() == CAMERA)
                        .map(ViscaRequest.Addressed::request)
                        .orElse(null);
        if (request == null) {
            reply.accept(new ViscaReply.Refused(0, ViscaError.SYNTAX).encode(CAMERA));
        } else {
            head.handle(request, r -> reply.accept(r.encode(CAMERA)));
        }
    }

    private void send(Octets octets, SocketAddress to) {
        byte[] bytes = octets.toArray();
        try {
            socket.send(new DatagramPacket(bytes, bytes.length, to));
        } catch (IOException e) {
            // The asker is gone; there is nobody left to tell.
            Thread.onSpinWait();
        }
    }

    @Override
    public void close() {
        socket.close();
    }
}
