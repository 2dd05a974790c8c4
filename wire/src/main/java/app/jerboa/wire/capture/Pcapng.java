package app.jerboa.wire.capture;

import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.WirePath;
import java.io.ByteArrayOutputStream;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Frames as a pcapng capture (IETF draft-ietf-opsawg-pcapng), link type RAW: IPv4 with UDP, or with
 * TCP whose sequence numbers count what was kept. The meaning of each frame is its comment. Headers
 * are made from what is known of the sockets; what went over a serial port is left out.
 */
public final class Pcapng {
    private static final int SECTION = 0x0A0D0D0A;
    private static final int INTERFACE = 1;
    private static final int PACKET = 6;
    private static final int MAGIC = 0x1A2B3C4D;
    private static final int RAW = 101;
    private static final int OPT_COMMENT = 1;
    private static final int IF_TSRESOL = 9;
    private static final byte NANOSECONDS = 9;
    private static final int IP_HEADER = 20;
    private static final int UDP_HEADER = 8;
    private static final int TCP_HEADER = 20;
    private static final int UDP = 17;
    private static final int TCP = 6;
    private static final int PUSH_ACK = 0x5018;
    private static final int HOPS = 64;
    private static final int WINDOW = 0xFFFF;
    private static final int LONGEST_COMMENT = 500;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    /** What was sent so far from one socket to another. */
    private final Map<List<InetSocketAddress>, Integer> sent = new HashMap<>();

    private Pcapng() {}

    /** Frames that did not go out, for want of a socket, are left out too. */
    public static byte[] of(List<WireLog.Entry> entries) {
        Pcapng file = new Pcapng();
        file.section();
        file.oneInterface();
        for (WireLog.Entry e : entries) {
            e.path().ifPresent(path -> file.packet(e, path));
        }
        return file.out.toByteArray();
    }

    private static ByteBuffer little(byte[] into) {
        return ByteBuffer.wrap(into).order(ByteOrder.LITTLE_ENDIAN);
    }

    private void section() {
        byte[] body = new byte[16];
        little(body).putInt(MAGIC).putShort((short) 1).putShort((short) 0).putLong(-1);
        block(SECTION, body);
    }

    private void oneInterface() {
        byte[] body = new byte[8 + 8 + 4];
        little(body)
                .putShort((short) RAW)
                .putShort((short) 0)
                .putInt(0)
                .putShort((short) IF_TSRESOL)
                .putShort((short) 1)
                .put(NANOSECONDS);
        block(INTERFACE, body);
    }

    private void packet(WireLog.Entry e, WirePath path) {
        boolean out = e.direction() == WireLog.Direction.SENT;
        InetSocketAddress from = out ? path.local() : path.remote();
        InetSocketAddress to = out ? path.remote() : path.local();
        byte[] ip = datagram(path.udp(), from, to, e.octets().toArray());
        byte[] comment = comment(e.meaning());
        byte[] bytes = new byte[20 + padded(ip.length) + 4 + padded(comment.length) + 4];
        ByteBuffer body = little(bytes);
        long nanos = ChronoUnit.NANOS.between(Instant.EPOCH, e.at());
        body.putInt(0).putInt((int) (nanos >>> 32)).putInt((int) nanos);
        body.putInt(ip.length).putInt(ip.length).put(ip);
        body.position(20 + padded(ip.length));
        body.putShort((short) OPT_COMMENT).putShort((short) comment.length).put(comment);
        block(PACKET, bytes);
    }

    private static byte[] comment(String meaning) {
        String bounded =
                meaning.length() <= LONGEST_COMMENT
                        ? meaning
                        : meaning.substring(0, LONGEST_COMMENT);
        return bounded.getBytes(StandardCharsets.UTF_8);
    }

    private static int padded(int size) {
        return (size + 3) / 4 * 4;
    }

    private void block(int type, byte[] body) {
        int size = 12 + body.length;
        byte[] block = new byte[size];
        little(block).putInt(type).putInt(size).put(body).putInt(size);
        out.writeBytes(block);
    }

    private byte[] datagram(
            boolean udp, InetSocketAddress from, InetSocketAddress to, byte[] payload) {
        byte[] segment = udp ? udp(from, to, payload) : tcp(from, to, payload);
        byte[] bytes = new byte[IP_HEADER + segment.length];
        ByteBuffer ip = ByteBuffer.wrap(bytes);
        ip.put((byte) 0x45).put((byte) 0).putShort((short) ip.capacity());
        ip.putInt(0).put((byte) HOPS).put((byte) (udp ? UDP : TCP)).putShort((short) 0);
        ip.put(from.getAddress().getAddress()).put(to.getAddress().getAddress());
        ip.putShort(10, (short) checksum(Arrays.copyOf(bytes, IP_HEADER), 0));
        ip.put(segment);
        return bytes;
    }

    private static byte[] udp(InetSocketAddress from, InetSocketAddress to, byte[] payload) {
        byte[] bytes = new byte[UDP_HEADER + payload.length];
        ByteBuffer b = ByteBuffer.wrap(bytes);
        b.putShort((short) from.getPort()).putShort((short) to.getPort());
        b.putShort((short) b.capacity()).putShort((short) 0).put(payload);
        int sum = checksum(bytes, pseudo(from, to, UDP, bytes.length));
        b.putShort(6, (short) (sum == 0 ? 0xFFFF : sum));
        return bytes;
    }

    private byte[] tcp(InetSocketAddress from, InetSocketAddress to, byte[] payload) {
        int sequence = sent.getOrDefault(List.of(from, to), 0) + 1;
        int acknowledged = sent.getOrDefault(List.of(to, from), 0) + 1;
        sent.merge(List.of(from, to), payload.length, Integer::sum);
        byte[] bytes = new byte[TCP_HEADER + payload.length];
        ByteBuffer b = ByteBuffer.wrap(bytes);
        b.putShort((short) from.getPort()).putShort((short) to.getPort());
        b.putInt(sequence).putInt(acknowledged).putShort((short) PUSH_ACK);
        b.putShort((short) WINDOW).putShort((short) 0).putShort((short) 0).put(payload);
        b.putShort(16, (short) checksum(bytes, pseudo(from, to, TCP, bytes.length)));
        return bytes;
    }

    private static int pseudo(
            InetSocketAddress from, InetSocketAddress to, int protocol, int length) {
        return protocol
                + length
                + words(from.getAddress().getAddress())
                + words(to.getAddress().getAddress());
    }

    private static int words(byte... octets) {
        int sum = 0;
        for (int i = 0; i < octets.length; i += 2) {
            int low = i + 1 < octets.length ? octets[i + 1] & 0xFF : 0;
            sum += (octets[i] & 0xFF) << 8 | low;
        }
        return sum;
    }

    /** Of RFC 1071: the one's complement of the one's complement sum. */
    private static int checksum(byte[] octets, int start) {
        int sum = start + words(octets);
        while (sum > 0xFFFF) {
            sum = (sum & 0xFFFF) + (sum >>> 16);
        }
        return ~sum & 0xFFFF;
    }
}
