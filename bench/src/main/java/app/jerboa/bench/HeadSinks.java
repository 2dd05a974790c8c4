package app.jerboa.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.SocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.ClosedSelectorException;
import java.nio.channels.DatagramChannel;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;

/**
 * Heads that never move, on loopback addresses of their own: each answers VISCA over UDP at once
 * and tells when a drive came, by the clock of this very process.
 */
final class HeadSinks implements AutoCloseable {
    /** Gets each drive. */
    interface Drives {
        /**
         * @param head from 0
         * @param nanos when its datagram was read, by {@link System#nanoTime()}
         * @param pan speed, left below 0, 0 for a stop
         */
        void heard(int head, long nanos, int pan);
    }

    static final String FIRST = "127.44.8.";
    static final int FIRST_HOST = 21;
    private static final int PORT = 52381;
    private static final int HEADER = 8;
    private static final byte[] ACK = {(byte) 0x90, 0x41, (byte) 0xFF};
    private static final byte[] DONE = {(byte) 0x90, 0x51, (byte) 0xFF};
    private static final byte[] MIDDLE = {(byte) 0x90, 0x50, 0, 0, 0, 0, 0, 0, 0, 0, (byte) 0xFF};
    private static final byte[] WIDE = {(byte) 0x90, 0x50, 0, 0, 0, 0, (byte) 0xFF};
    private static final byte[] VERSION = {(byte) 0x90, 0x50, 0, 1, 2, 3, 4, 5, 2, (byte) 0xFF};

    private final Selector selector;
    private volatile Drives drives = (head, nanos, pan) -> {};

    HeadSinks(int count) throws IOException {
        selector = Selector.open();
        for (int i = 0; i < count; i++) {
            DatagramChannel channel = DatagramChannel.open();
            channel.bind(new InetSocketAddress(InetAddress.getByName(address(i)), PORT));
            channel.configureBlocking(false);
            channel.register(selector, SelectionKey.OP_READ, i);
        }
        Thread thread = new Thread(this::serve, "head-sinks");
        thread.setDaemon(true);
        thread.start();
    }

    static String address(int head) {
        return FIRST + (FIRST_HOST + head);
    }

    void listen(Drives to) {
        drives = to;
    }

    private void serve() {
        ByteBuffer in = ByteBuffer.allocate(64);
        try {
            while (selector.isOpen()) {
                selector.select();
                for (SelectionKey key : selector.selectedKeys()) {
                    read(key, in);
                }
                selector.selectedKeys().clear();
            }
        } catch (ClosedChannelException | ClosedSelectorException closed) {
            // The bench is over.
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void read(SelectionKey key, ByteBuffer in) throws IOException {
        DatagramChannel channel = (DatagramChannel) key.channel();
        in.clear();
        SocketAddress from = channel.receive(in);
        while (from != null) {
            long now = System.nanoTime();
            in.flip();
            answer(channel, from, in, (Integer) key.attachment(), now);
            in.clear();
            from = channel.receive(in);
        }
    }

    private void answer(
            DatagramChannel channel, SocketAddress from, ByteBuffer in, int head, long now)
            throws IOException {
        int type = in.getShort(0);
        if (type == 0x0200) {
            reply(channel, from, in, 0x0201, new byte[] {1});
        } else if (type == 0x0110) {
            boolean place = in.get(HEADER + 2) == 0x06;
            boolean zoom = in.get(HEADER + 2) == 0x04;
            reply(channel, from, in, 0x0111, place ? MIDDLE : zoom ? WIDE : VERSION);
        } else {
            if (in.get(HEADER + 2) == 0x06 && in.get(HEADER + 3) == 0x01) {
                int way = in.get(HEADER + 6);
                int speed = in.get(HEADER + 4);
                drives.heard(head, now, way == 1 ? -speed : way == 2 ? speed : 0);
            }
            reply(channel, from, in, 0x0111, ACK);
            reply(channel, from, in, 0x0111, DONE);
        }
    }

    private static void reply(
            DatagramChannel channel, SocketAddress to, ByteBuffer request, int type, byte[] payload)
            throws IOException {
        ByteBuffer out = ByteBuffer.allocate(HEADER + payload.length);
        out.putShort((short) type).putShort((short) payload.length);
        out.putInt(request.getInt(4)).put(payload).flip();
        channel.send(out, to);
    }

    @Override
    public void close() throws IOException {
        for (SelectionKey key : selector.keys()) {
            key.channel().close();
        }
        selector.close();
    }
}
