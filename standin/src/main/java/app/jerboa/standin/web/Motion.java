package app.jerboa.standin.web;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/**
 * Motion JPEG over HTTP: one answer without an end, a picture a part (RFC 2046, 5.1), until the
 * asker has gone. So many look at once, at all devices of this process.
 */
final class Motion {
    private static final int VIEWERS = 32;
    private static final int FRAME_MILLIS = 200;
    private static final String BOUNDARY = "picture";

    private static final ExecutorService THREADS =
            new ThreadPoolExecutor(
                    0,
                    VIEWERS,
                    10,
                    TimeUnit.SECONDS,
                    new SynchronousQueue<>(),
                    task -> {
                        Thread thread = new Thread(task, "device-motion");
                        thread.setDaemon(true);
                        return thread;
                    });

    private Motion() {}

    /** Returns at once; the answer goes on by itself. */
    static void answer(HttpExchange exchange, Supplier<byte[]> picture) throws IOException {
        try {
            THREADS.execute(() -> show(exchange, picture));
        } catch (RejectedExecutionException full) {
            exchange.sendResponseHeaders(503, -1);
            exchange.close();
        }
    }

    private static void show(HttpExchange exchange, Supplier<byte[]> picture) {
        exchange.getResponseHeaders()
                .set("Content-Type", "multipart/x-mixed-replace; boundary=" + BOUNDARY);
        try (exchange) {
            exchange.sendResponseHeaders(200, 0);
            OutputStream out = exchange.getResponseBody();
            while (true) {
                byte[] jpeg = picture.get();
                String head =
                        "--"
                                + BOUNDARY
                                + "\r\nContent-Type: image/jpeg\r\nContent-Length: "
                                + jpeg.length
                                + "\r\n\r\n";
                out.write(head.getBytes(StandardCharsets.US_ASCII));
                out.write(jpeg);
                out.write("\r\n".getBytes(StandardCharsets.US_ASCII));
                out.flush();
                Thread.sleep(FRAME_MILLIS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (IOException gone) {
            // That is how it ends.
            return;
        }
    }
}
