package app.jerboa.wire.link.rtsp;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;

/**
 * A way for another program to the RTSP port of one camera, and through it to nowhere else: the
 * program knows an address of this machine only, one connection is let through, and a camera that
 * sends it elsewhere (3xx) is cut off. Everything ends when one side ends, or when it is closed.
 */
public final class RtspRelay implements AutoCloseable {
    private static final int CHUNK = 16_384;

    private final ServerSocket server;
    private final InetSocketAddress camera;
    private final int patience;
    private volatile Socket near;
    private volatile Socket far;

    private RtspRelay(ServerSocket server, InetSocketAddress camera, int patience) {
        this.server = server;
        this.camera = camera;
        this.patience = patience;
    }

    /**
     * @param patience milliseconds that the program has to come, and the camera to say something
     */
    public static RtspRelay open(InetSocketAddress camera, int patience) throws IOException {
        ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
        server.setSoTimeout(patience);
        RtspRelay relay = new RtspRelay(server, camera, patience);
        thread("rtsp-relay", relay::letThrough);
        return relay;
    }

    /** On loopback. */
    public int port() {
        return server.getLocalPort();
    }

    private static void thread(String name, Runnable task) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        thread.start();
    }

    private void letThrough() {
        try (Socket program = server.accept();
                Socket device = new Socket()) {
            near = program;
            far = device;
            server.close();
            device.connect(camera, patience);
            device.setSoTimeout(patience);
            thread("rtsp-relay-up", () -> up(program, device));
            down(device.getInputStream(), program.getOutputStream());
        } catch (IOException ended) {
            // Either side went away, or nobody came: the program sees its connection end.
            close();
        } finally {
            close();
        }
    }

    private static void up(Socket program, Socket device) {
        try {
            program.getInputStream().transferTo(device.getOutputStream());
        } catch (IOException ended) {
            shut(device);
        } finally {
            shut(device);
        }
    }

    private static void down(InputStream from, OutputStream to) throws IOException {
        byte[] chunk = new byte[CHUNK];
        Redirection redirection = new Redirection();
        for (int size = from.read(chunk); size >= 0; size = from.read(chunk)) {
            if (redirection.isIn(chunk, size)) {
                return;
            }
            to.write(chunk, 0, size);
            to.flush();
        }
    }

    @Override
    public void close() {
        shut(server);
        shut(near);
        shut(far);
    }

    private static void shut(Closeable socket) {
        if (socket == null) {
            return;
        }
        try {
            socket.close();
        } catch (IOException alreadyShut) {
            // That is what was wanted.
            return;
        }
    }

    /** The first words of an answer that sends whoever asked elsewhere, however it is cut up. */
    static final class Redirection {
        private static final byte[] WORDS = {'R', 'T', 'S', 'P', '/', '1', '.', '0', ' ', '3'};

        private int matched;

        boolean isIn(byte[] chunk, int size) {
            for (int i = 0; i < size && matched < WORDS.length; i++) {
                if (chunk[i] == WORDS[matched]) {
                    matched++;
                } else {
                    matched = chunk[i] == WORDS[0] ? 1 : 0;
                }
            }
            return matched == WORDS.length;
        }
    }
}
