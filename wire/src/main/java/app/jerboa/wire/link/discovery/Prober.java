package app.jerboa.wire.link.discovery;

import app.jerboa.wire.discovery.Probe;
import app.jerboa.wire.discovery.ProbeMatch;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.MulticastSocket;
import java.net.NetworkInterface;
import java.net.SocketTimeoutException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;

/** Asks who is there, one address or all on the link of an interface. */
public final class Prober {
    /** Answers that are taken in at most; a network of ours has fewer cameras. */
    private static final int MOST = 1024;

    /** A camera answers after up to half a second, so that not all talk at once. */
    public static final int PATIENCE_MILLIS = 1500;

    private Prober() {}

    /** Who sent an answer, and what it says. */
    public record Heard(InetAddress from, ProbeMatch match) {}

    /** One device alone; empty when it does not answer in time. */
    public static Optional<ProbeMatch> ask(InetSocketAddress device, int patienceMillis) {
        Probe probe = new Probe(UUID.randomUUID());
        try (DatagramSocket socket = new DatagramSocket()) {
            byte[] octets = probe.octets();
            socket.send(new DatagramPacket(octets, octets.length, device));
            return listen(socket, probe, patienceMillis, 1).stream().map(Heard::match).findFirst();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /**
     * All that hear the group on the link of one interface, by IPv4 and, where it has an address of
     * its own there, by IPv6.
     *
     * @throws IOException when nothing can be sent by that interface
     */
    public static List<Heard> askAll(NetworkInterface link, InetAddress own, int patienceMillis)
            throws IOException {
        List<Heard> heard = new ArrayList<>(onLink(link, own, Probe.GROUP, patienceMillis));
        Optional<InetAddress> six =
                link.inetAddresses()
                        .filter(a -> a instanceof Inet6Address && a.isLinkLocalAddress())
                        .findFirst();
        if (six.isPresent()) {
            heard.addAll(bySix(link, six.get(), patienceMillis));
        }
        return heard;
    }

    /** A link without a way for IPv6 takes nothing from what was heard by IPv4. */
    private static List<Heard> bySix(NetworkInterface link, InetAddress own, int patienceMillis) {
        try {
            return onLink(link, own, Probe.GROUP_6, patienceMillis);
        } catch (IOException e) {
            return List.of();
        }
    }

    private static List<Heard> onLink(
            NetworkInterface link, InetAddress own, String group, int patienceMillis)
            throws IOException {
        Probe probe = new Probe(UUID.randomUUID());
        try (MulticastSocket socket = new MulticastSocket(new InetSocketAddress(own, 0))) {
            socket.setNetworkInterface(link);
            socket.setTimeToLive(1);
            byte[] octets = probe.octets();
            socket.send(
                    new DatagramPacket(
                            octets, octets.length, InetAddress.getByName(group), Probe.PORT));
            return listen(socket, probe, patienceMillis, MOST);
        }
    }

    private static List<Heard> listen(
            DatagramSocket socket, Probe probe, int patienceMillis, int most) throws IOException {
        List<Heard> heard = new ArrayList<>();
        byte[] in = new byte[ProbeMatch.LONGEST];
        long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(patienceMillis);
        long left = end - System.nanoTime();
        while (left > 0 && heard.size() < most) {
            socket.setSoTimeout((int) Math.max(1, TimeUnit.NANOSECONDS.toMillis(left)));
            DatagramPacket packet = new DatagramPacket(in, in.length);
            try {
                socket.receive(packet);
            } catch (SocketTimeoutException silence) {
                return heard;
            }
            ProbeMatch.read(Arrays.copyOf(in, packet.getLength()), probe)
                    .forEach(m -> heard.add(new Heard(packet.getAddress(), m)));
            left = end - System.nanoTime();
        }
        return heard;
    }
}
