package app.jerboa.bench;

import java.io.DataInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;

/**
 * The floor under a stick message: a WebSocket that reads each message and sends one datagram for
 * it, with nothing between.
 */
final class BareSocket implements AutoCloseable {
    /** A drive to the right over VISCA, as the desk would send it. */
    private static final byte[] DRIVE = {
        1, 0, 0, 9, 0, 0, 0, 1, (byte) 0x81, 1, 6, 1, 9, 9, 2, 3, (byte) 0xFF
    };

    private final ServerSocket server = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
    private final InetAddress head;

    BareSocket(String head) throws IOException {
        this.head = InetAddress.getByName(head);
        Thread thread = new Thread(this::serve, "bare-socket");
        thread.setDaemon(true);
        thread.start();
    }

    static DatagramPacket drive(InetAddress head) {
        return new DatagramPacket(DRIVE, DRIVE.length, head, 52381);
    }

    String url() {
        return "http://127.0.0.1:" + server.getLocalPort();
    }

    private void serve() {
        try (Socket socket = server.accept();
                DatagramSocket udp = new DatagramSocket()) {
            socket.setTcpNoDelay(true);
            DataInputStream in = new DataInputStream(socket.getInputStream());
            int newlines = 0;
            while (newlines < 2) {
                int c = in.read();
                newlines = c == '\n' ? newlines + 1 : c == '\r' ? newlines : 0;
            }
            OutputStream out = socket.getOutputStream();
            out.write(
                    "HTTP/1.1 101 Switching Protocols\r\nUpgrade: websocket\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            out.flush();
            while (true) {
                in.readUnsignedByte();
                int length = in.readUnsignedByte() & 0x7F;
                length = length == 126 ? in.readUnsignedShort() : length;
                in.readNBytes(length + 4);
                udp.send(drive(head));
            }
        } catch (IOException over) {
            // The bench closed its end.
        }
    }

    @Override
    public void close() throws IOException {
        server.close();
    }
}
