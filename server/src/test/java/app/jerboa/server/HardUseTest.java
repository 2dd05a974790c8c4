package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.SubmissionPublisher;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;

/** People and strangers who ask for a lot. */
class HardUseTest extends RunningServer {
    @Test
    void twoFilesOfAPersonAreOnTheirWayAtATime() {
        Client asha = new Client().signIn();
        Client other = new Client();
        ExecutorService threads = Executors.newFixedThreadPool(2);
        String job =
                "/api/jobs/"
                        + asha.send("POST", "/api/jobs/demo", Map.of()).json().get("id").asLong();
        member(asha, job, "tomas", "technician");
        other.signIn("tomas", PASSWORD);
        // Files that begin and then do not go on.
        List<SubmissionPublisher<ByteBuffer>> files =
                List.of(new SubmissionPublisher<>(), new SubmissionPublisher<>());
        List<CompletableFuture<Answer>> sent =
                files.stream()
                        .map(
                                f ->
                                        CompletableFuture.supplyAsync(
                                                () -> asha.sendStream("/api/jobs/file", f),
                                                threads))
                        .toList();
        files.forEach(HardUseTest::begin);
        Awaitility.await()
                .atMost(Duration.ofSeconds(10))
                .until(() -> empty(asha).code().equals("too-many-uploads"));
        assertThat(empty(other).code()).as("somebody else's file").isNotEqualTo("too-many-uploads");
        files.forEach(SubmissionPublisher::close);
        assertThat(sent).allSatisfy(a -> assertThat(a.join().status()).isEqualTo(400));
        threads.shutdown();
        assertThat(empty(asha).status()).isEqualTo(400);
    }

    private static Answer empty(Client person) {
        SubmissionPublisher<ByteBuffer> nothing = new SubmissionPublisher<>();
        CompletableFuture<Answer> answer =
                CompletableFuture.supplyAsync(() -> person.sendStream("/api/jobs/file", nothing));
        Awaitility.await().until(nothing::hasSubscribers);
        nothing.close();
        return answer.join();
    }

    private static void begin(SubmissionPublisher<ByteBuffer> file) {
        Awaitility.await().until(file::hasSubscribers);
        file.submit(ByteBuffer.wrap(new byte[] {' '}));
    }

    /** Whoever is not signed in cannot fill the disk by the log. */
    @Test
    void strangersWriteNothingIntoTheLog() throws IOException {
        Logger root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        ListAppender<ILoggingEvent> lines = new ListAppender<>();
        lines.start();
        root.addAppender(lines);
        try {
            for (int i = 0; i < 4; i++) {
                ask(i);
            }
        } finally {
            root.detachAppender(lines);
        }
        Set<String> quiet = Set.of("o.a.coyote.http11.Http11Processor");
        assertThat(List.copyOf(lines.list))
                .filteredOn(l -> !quiet.contains(l.getLoggerName()))
                .extracting(l -> l.getLoggerName() + ": " + l.getFormattedMessage())
                .isEmpty();
    }

    private void ask(int i) throws IOException {
        Client stranger = new Client();
        stranger.get("/auth/session");
        Map<String, String> guess = Map.of("login", "stranger" + i, "password", "guess" + i);
        stranger.send("POST", "/auth/session", guess);
        stranger.send("POST", "/auth/invitations/none" + i + "/join", Map.of());
        stranger.sendText("POST", "/auth/session", "{\"login\":");
        stranger.sendText("POST", "/api/sums/poe", "[[[[\u0000");
        stranger.sendBroken("/auth/session");
        stranger.get("/api/jobs/" + i);
        stranger.get("/api/jobs/1;x=" + i);
        stranger.get("/api//jobs/%2e%2e/" + i);
        stranger.get("/page/of/nobody?" + i + "=%00");
        stranger.get("/assets/none-" + i + ".js");
        stranger.get("/actuator/env");
        stranger.send("TRACE", "/", "");
        stranger.send("DELETE", "/auth/session", Map.of());
        bare(
                "GET /ws/desk HTTP/1.1\r\nHost: x\r\nUpgrade: websocket\r\nConnection: Upgrade\r\n\r\n");
        bare("GET /\u0001{}|\\ HTTP/1.1\r\nHost: x y\r\n\r\n");
        bare("\u0016\u0003\u0001\u0002 what is this\r\n\r\n");
        bare("POST /auth/session HTTP/1.1\r\nHost: x\r\nContent-Length: -5\r\n\r\n");
        bare("POST /auth/session HTTP/1.1\r\nHost: x\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n");
    }

    /** Bytes that no browser would send; whatever is answered is read. */
    private void bare(String request) throws IOException {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.setSoTimeout(2000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            socket.getInputStream().read();
        }
    }
}
