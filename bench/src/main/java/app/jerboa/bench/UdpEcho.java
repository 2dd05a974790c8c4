package app.jerboa.bench;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;

/** The floor under the key press: a bare datagram to a loopback socket and back. */
final class UdpEcho {
    private UdpEcho() {}

    static Sample measure(int rounds, int pauseMillis) throws IOException, InterruptedException {
        InetAddress loopback = InetAddress.getLoopbackAddress();
        try (DatagramSocket server = new DatagramSocket(0, loopback);
                DatagramSocket client = new DatagramSocket(0, loopback)) {
            Thread echo = new Thread(() -> serve(server));
            echo.setDaemon(true);
            echo.start();
            double[] millis = new double[rounds];
            DatagramPacket packet =
                    new DatagramPacket(new byte[17], 17, loopback, server.getLocalPort());
            for (int i = 0; i < rounds; i++) {
                Thread.sleep(pauseMillis);
                long start = System.nanoTime();
                client.send(packet);
                client.receive(new DatagramPacket(new byte[64], 64));
                millis[i] = (System.nanoTime() - start) / 1e6;
            }
            return Sample.of(millis);
        }
    }

    private static void serve(DatagramSocket server) {
        DatagramPacket packet = new DatagramPacket(new byte[64], 64);
        try {
            while (!server.isClosed()) {
                packet.setLength(64);
                server.receive(packet);
                server.send(packet);
            }
        } catch (IOException closed) {
            server.close();
        }
    }
}
