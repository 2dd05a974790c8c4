package app.jerboa.standin.device;

import app.jerboa.core.profile.Protocol;
import app.jerboa.wire.link.net.SocketReader;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.PortUnreachableException;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.channels.SelectionKey;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** One UDP port of a simulated head, in either form. Whatever arrives, it goes on serving. */
public final class ViscaUdpPort implements DevicePort {
    private static final int LONGEST = 2048;
    private static final int CAMERA = 1;

    /** So many requests are remembered; one that is repeated is not obeyed again. */
    private static final int REMEMBERED = 64;

    private record Seen(InetSocketAddress from, long sequence) {}

    private final DatagramChannel channel;
    private final Form form;
    private final ViscaVoice voice;
    private final Habits habits;
    private final Weather weather;
    private final ByteBuffer in = ByteBuffer.allocate(LONGEST);
    private final Map<Seen, List<Octets>> answered = new LinkedHashMap<>();

    private ViscaUdpPort(
            DatagramChannel channel, Form form, ViscaVoice voice, Habits habits, Weather weather) {
        this.channel = channel;
        this.form = form;
        this.voice = voice;
        this.habits = habits;
        this.weather = weather;
    }

    /**
     * @param at port 0 takes any free one
     */
    public static ViscaUdpPort open(InetSocketAddress at, Form form, ViscaObeys head)
            throws IOException {
        return open(at, form, head, Habits.USUAL, Weather.fair());
    }

    public static ViscaUdpPort open(
            InetSocketAddress at, Form form, ViscaObeys head, Habits habits, Weather weather)
            throws IOException {
        DatagramChannel channel = DatagramChannel.open();
        try {
            channel.bind(at);
            ViscaVoice voice = new ViscaVoice(head, CAMERA);
            ViscaUdpPort port = new ViscaUdpPort(channel, form, voice, habits, weather);
            SocketReader.shared().register(channel, SelectionKey.OP_READ, key -> port.serve());
            return port;
        } catch (IOException e) {
            channel.close();
            throw e;
        }
    }

    @Override
    public Protocol protocol() {
        return form == Form.HEADER ? Protocol.VISCA_IP : Protocol.VISCA_UDP;
    }

    @Override
    public int port() {
        return channel.socket().getLocalPort();
    }

    /** One datagram: of more the reader tells again. */
    private void serve() throws IOException {
        in.clear();
        InetSocketAddress from;
        try {
            from = (InetSocketAddress) channel.receive(in);
        } catch (PortUnreachableException gone) {
            // The last sender's port is shut: that may not keep us from the others.
            return;
        }
        if (from != null) {
            Octets datagram = Octets.of(Arrays.copyOf(in.array(), in.position()));
            weather.passIn(() -> received(datagram, from));
        }
    }

    private synchronized void received(Octets datagram, InetSocketAddress from) {
        if (form == Form.HEADER) {
            receivedPacket(datagram, from);
        } else {
            voice.hear(datagram, r -> send(r, from));
        }
    }

    private void receivedPacket(Octets datagram, InetSocketAddress from) {
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

    private void receivedControl(IpPacket packet, InetSocketAddress from) {
        boolean reset = packet.payload().equals(IpPacket.RESET);
        if (reset) {
            answered.keySet().removeIf(s -> s.from().equals(from));
        }
        send(controlReply(packet, reset ? IpPacket.RESET : IpPacket.MESSAGE_ERROR), from);
    }

    private static Octets controlReply(IpPacket to, Octets payload) {
        return new IpPacket(IpPacket.Type.CONTROL_REPLY, to.sequence(), payload).encode();
    }

    private void receivedRequest(IpPacket packet, InetSocketAddress from) {
        Seen seen = new Seen(from, packet.sequence());
        List<Octets> before = answered.get(seen);
        if (before != null) {
            repeated(packet, before, from);
            return;
        }
        List<Octets> replies = Collections.synchronizedList(new ArrayList<>());
        answered.put(seen, replies);
        if (answered.size() > REMEMBERED) {
            answered.remove(answered.keySet().iterator().next());
        }
        voice.hear(
                packet.payload(),
                reply -> {
                    Octets octets =
                            new IpPacket(IpPacket.Type.REPLY, packet.sequence(), reply).encode();
                    replies.add(octets);
                    send(octets, from);
                });
    }

    private void repeated(IpPacket packet, List<Octets> before, InetSocketAddress from) {
        if (habits.refusesRepeats()) {
            send(controlReply(packet, IpPacket.SEQUENCE_ERROR), from);
        } else {
            List.copyOf(before).forEach(octets -> send(octets, from));
        }
    }

    private void send(Octets octets, InetSocketAddress to) {
        InetSocketAddress back =
                habits.answersTo().isPresent()
                        ? new InetSocketAddress(to.getAddress(), habits.answersTo().getAsInt())
                        : to;
        weather.passOut(() -> write(octets, back));
    }

    private void write(Octets octets, InetSocketAddress to) {
        try {
            channel.send(ByteBuffer.wrap(octets.toArray()), to);
        } catch (IOException e) {
            // The asker is gone; there is nobody left to tell.
            Thread.onSpinWait();
        }
    }

    @Override
    public void close() {
        SocketReader.shared().close(channel);
    }
}
