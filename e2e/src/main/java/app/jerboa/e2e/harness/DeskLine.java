package app.jerboa.e2e.harness;

import java.io.DataInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;

/**
 * A desk without a browser, over a bare socket, so that it can do what no browser does: stop
 * reading, fall silent with its line open, break off. Speaks WebSocket (RFC 6455) as far as the
 * desk needs it.
 */
public final class DeskLine implements AutoCloseable {
    private static final int BEAT_MILLIS = 50;
    private static final int LIFE_MILLIS = 1_000;

    private final ScheduledExecutorService beats =
            Executors.newSingleThreadScheduledExecutor(DeskLine::daemon);
    private final Socket socket = new Socket();
    private final DataInputStream in;
    private final OutputStream out;
    private final BlockingQueue<JsonNode> heard = new LinkedBlockingQueue<>();
    private final CountDownLatch closing = new CountDownLatch(1);
    private volatile boolean reading = true;
    private volatile boolean living = true;
    private volatile boolean ended;
    private volatile String stick = "";
    private volatile boolean silenced;

    /**
     * @param cookie of somebody signed in
     * @param receiveBuffer octets; small for a desk that will stop reading
     */
    public DeskLine(String url, String cookie, int receiveBuffer) {
        URI at = URI.create(url);
        try {
            socket.setReceiveBufferSize(receiveBuffer);
            socket.setTcpNoDelay(true);
            socket.connect(new InetSocketAddress(at.getHost(), at.getPort()));
            in = new DataInputStream(socket.getInputStream());
            out = socket.getOutputStream();
            out.write(
                    ("GET /ws/desk HTTP/1.1\r\nHost: "
                                    + at.getAuthority()
                                    + "\r\nUpgrade: websocket\r\nConnection: Upgrade\r\n"
                                    + "Sec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\n"
                                    + "Sec-WebSocket-Version: 13\r\nCookie: "
                                    + cookie
                                    + "\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            String status = line();
            if (!status.contains("101")) {
                throw new IllegalStateException("no desk: " + status);
            }
            while (!line().isEmpty()) {}
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        daemon(this::read).start();
        beats.scheduleWithFixedDelay(this::beat, BEAT_MILLIS, BEAT_MILLIS, TimeUnit.MILLISECONDS);
        beats.scheduleWithFixedDelay(this::live, LIFE_MILLIS, LIFE_MILLIS, TimeUnit.MILLISECONDS);
    }

    private static Thread daemon(Runnable task) {
        Thread thread = new Thread(task, "desk-line");
        thread.setDaemon(true);
        return thread;
    }

    private String line() throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c >= 0 && c != '\n'; c = in.read()) {
            if (c != '\r') {
                line.append((char) c);
            }
        }
        return line.toString();
    }

    /** Opens the job and takes the camera; returns when it is taken. */
    public DeskLine take(long job, long camera) {
        send("{\"type\":\"open\",\"job\":" + job + "}");
        send("{\"type\":\"take\",\"camera\":" + camera + "}");
        await("taken", Duration.ofSeconds(10));
        send("{\"type\":\"stick\",\"pan\":0,\"tilt\":0,\"zoom\":0,\"limit\":1}");
        return this;
    }

    /** One text message, masked as a client must. */
    public void send(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        byte[] frame = new byte[bytes.length + (bytes.length < 126 ? 6 : 8)];
        frame[0] = (byte) 0x81;
        int at = 2;
        if (bytes.length < 126) {
            frame[1] = (byte) (0x80 | bytes.length);
        } else {
            frame[1] = (byte) (0x80 | 126);
            frame[2] = (byte) (bytes.length >> 8);
            frame[3] = (byte) bytes.length;
            at = 4;
        }
        // A mask of zeros changes nothing.
        System.arraycopy(bytes, 0, frame, at + 4, bytes.length);
        try {
            synchronized (out) {
                out.write(frame);
                out.flush();
            }
        } catch (IOException e) {
            ended = true;
        }
    }

    /** Holds the stick: repeated every 50 ms as a page does it. */
    public void hold(double pan) {
        stick = "{\"type\":\"stick\",\"pan\":" + pan + ",\"tilt\":0,\"zoom\":0,\"limit\":1}";
        send(stick);
    }

    /** Begins a steady move and keeps it going, as a page does it. */
    public void go(long move, double pan, double tilt, double seconds) {
        send(
                "{\"type\":\"go\",\"move\":"
                        + move
                        + ",\"pan\":"
                        + pan
                        + ",\"tilt\":"
                        + tilt
                        + ",\"seconds\":"
                        + seconds
                        + "}");
        stick = "{\"type\":\"keep-going\",\"move\":" + move + "}";
    }

    public void release() {
        stick = "";
        send("{\"type\":\"stick\",\"pan\":0,\"tilt\":0,\"zoom\":0,\"limit\":1}");
    }

    /** Says nothing about the stick any more, as a page that hangs. */
    public void fallSilent() {
        stick = "";
        living = false;
    }

    /** Until it is closed. */
    public void stopReading() {
        reading = false;
    }

    public void stopAll() {
        stick = "";
        send("{\"type\":\"stop-all\"}");
    }

    public boolean ended() {
        return ended;
    }

    /** The next message of this type; earlier ones of other types are passed over. */
    public JsonNode await(String type, Duration patience) {
        long end = System.nanoTime() + patience.toNanos();
        List<JsonNode> others = new ArrayList<>();
        try {
            while (true) {
                JsonNode next = heard.poll(end - System.nanoTime(), TimeUnit.NANOSECONDS);
                if (next == null) {
                    throw new IllegalStateException(
                            "the desk heard no \"" + type + "\" but " + others);
                }
                if (next.get("type").asString().equals(type)) {
                    return next;
                }
                others.add(next);
            }
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private void read() {
        try {
            while (true) {
                int opcode = in.readUnsignedByte() & 0x0F;
                int length = in.readUnsignedByte();
                if (length == 126) {
                    length = in.readUnsignedShort();
                } else if (length == 127) {
                    length = (int) in.readLong();
                }
                byte[] payload = in.readNBytes(length);
                if (opcode == 8) {
                    ended = true;
                    return;
                }
                if (opcode == 1) {
                    hear(new String(payload, StandardCharsets.UTF_8));
                }
                if (!reading) {
                    closing.await();
                }
            }
        } catch (IOException e) {
            ended = true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** What comes many times a second is not even read. */
    private void hear(String text) {
        boolean passedOver =
                text.startsWith("{\"type\":\"position\"")
                        || text.startsWith("{\"type\":\"frames\"");
        if (!passedOver) {
            JsonNode message = BrowserUser.json(text);
            silenced |=
                    message.get("type").asString().equals("stopped")
                            && message.get("why").asString().contains("silent");
            heard.add(message);
        }
    }

    /** Its camera was stopped, since the stick was not heard of, after this was asked last. */
    public boolean wasSilenced() {
        boolean was = silenced;
        silenced = false;
        return was;
    }

    private void beat() {
        String now = stick;
        if (!now.isEmpty()) {
            send(now);
        }
    }

    private void live() {
        if (living) {
            send("{\"type\":\"beat\"}");
        }
    }

    /** Breaks off without a goodbye. */
    @Override
    public void close() {
        ended = true;
        closing.countDown();
        beats.shutdownNow();
        if (socket.isClosed()) {
            return;
        }
        try {
            socket.setSoLinger(true, 0);
            socket.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
