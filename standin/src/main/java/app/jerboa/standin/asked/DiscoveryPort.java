package app.jerboa.standin.asked;

import app.jerboa.core.profile.Protocol;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Gate;
import app.jerboa.wire.link.net.SocketReader;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.StandardProtocolFamily;
import java.net.StandardSocketOptions;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.channels.SelectionKey;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;

/** Answers WS-Discovery probes, sent to it alone or to all. */
public final class DiscoveryPort implements DevicePort {
    /** Of WS-Discovery, with its UDP port. */
    public static final String GROUP = "239.255.255.250";

    public static final int PORT = 3702;
    private static final int LONGEST = 65_536;

    private final DatagramChannel channel;
    private final UUID id;
    private final Supplier<String> service;
    private final Supplier<SelfPortrait> self;
    private final Gate gate;
    private final ByteBuffer in = ByteBuffer.allocate(LONGEST);

    private DiscoveryPort(
            DatagramChannel channel,
            UUID id,
            Supplier<String> service,
            Supplier<SelfPortrait> self,
            Gate gate) {
        this.channel = channel;
        this.id = id;
        this.service = service;
        this.self = self;
        this.gate = gate;
    }

    /**
     * One that is asked alone.
     *
     * @param at port 0 takes any free one
     * @param service where its own service answers, as a URL
     */
    public static DiscoveryPort open(
            InetSocketAddress at,
            UUID id,
            Supplier<String> service,
            Supplier<SelfPortrait> self,
            Gate gate)
            throws IOException {
        DatagramChannel channel = DatagramChannel.open(StandardProtocolFamily.INET);
        return started(channel.bind(at), new DiscoveryPort(channel, id, service, self, gate));
    }

    /** One that hears what is sent to all on the interface of an address. */
    public static DiscoveryPort listening(
            InetAddress on, UUID id, Supplier<String> service, Supplier<SelfPortrait> self)
            throws IOException {
        DatagramChannel channel = DatagramChannel.open(StandardProtocolFamily.INET);
        channel.setOption(StandardSocketOptions.SO_REUSEADDR, true);
        channel.bind(new InetSocketAddress(PORT));
        channel.join(InetAddress.getByName(GROUP), NetworkInterface.getByInetAddress(on));
        Gate open = Gate.open(Optional.empty());
        return started(channel, new DiscoveryPort(channel, id, service, self, open));
    }

    private static DiscoveryPort started(DatagramChannel channel, DiscoveryPort port)
            throws IOException {
        SocketReader.shared().register(channel, SelectionKey.OP_READ, key -> port.serve());
        return port;
    }

    private void serve() throws IOException {
        in.clear();
        InetSocketAddress from = (InetSocketAddress) channel.receive(in);
        while (from != null) {
            byte[] datagram = Arrays.copyOf(in.array(), in.position());
            InetSocketAddress asker = from;
            if (gate.own()) {
                ProbeAnswer.to(datagram, id, service.get(), self.get())
                        .ifPresent(a -> send(a, asker));
            }
            in.clear();
            from = (InetSocketAddress) channel.receive(in);
        }
    }

    private void send(String answer, InetSocketAddress to) {
        try {
            channel.send(ByteBuffer.wrap(answer.getBytes(StandardCharsets.UTF_8)), to);
        } catch (IOException e) {
            // The asker is gone; there is nobody left to tell.
            Thread.onSpinWait();
        }
    }

    @Override
    public Protocol protocol() {
        return Protocol.ONVIF;
    }

    @Override
    public int port() {
        return channel.socket().getLocalPort();
    }

    @Override
    public void close() {
        SocketReader.shared().close(channel);
    }
}
