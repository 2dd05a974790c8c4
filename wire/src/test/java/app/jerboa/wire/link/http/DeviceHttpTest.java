package app.jerboa.wire.link.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.link.WireLog;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.InstantSource;
import java.util.HexFormat;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a device's web server may answer, and what becomes of it. */
class DeviceHttpTest {
    private static final Pins NONE =
            new Pins() {
                @Override
                public Optional<String> pinned() {
                    return Optional.empty();
                }

                @Override
                public void pin(String sha256) {}
            };

    private final AtomicInteger asked = new AtomicInteger();
    private final WireLog log = new WireLog(50);
    private HttpServer server;

    @BeforeEach
    void serve() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", this::answer);
        server.start();
    }

    @AfterEach
    void stop() {
        server.stop(0);
    }

    /** {@code /status/N} answers with that, {@code /long} with 70 kB. */
    private void answer(HttpExchange exchange) throws IOException {
        asked.incrementAndGet();
        String path = exchange.getRequestURI().getPath();
        int status = path.startsWith("/status/") ? Integer.parseInt(path.substring(8)) : 200;
        byte[] body =
                (path.equals("/long") ? "x".repeat(70_000) : "ok").getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().add("Location", "http://127.0.0.1:1/elsewhere");
        exchange.sendResponseHeaders(status, body.length);
        exchange.getResponseBody().write(body);
        exchange.close();
    }

    private DeviceHttp to(InetSocketAddress at) {
        DeviceHttp.Account account = new DeviceHttp.Account("admin", "s3cret", Optional.empty());
        return new DeviceHttp(at, false, NONE, account, false, InstantSource.system(), log);
    }

    private static HttpMessage get(String path) {
        return new HttpMessage("GET", path, "", "");
    }

    @ParameterizedTest
    @CsvSource({
        "/status/401, NOT_LET_IN",
        "/status/403, NOT_LET_IN",
        "/status/302, REDIRECT",
        "/status/307, REDIRECT",
        "/status/409, NOT_NOW",
        "/status/503, NOT_NOW",
        "/status/404, REFUSED",
        "/status/500, REFUSED",
        "/long, TOO_LONG"
    })
    void whatIsNoAnswerIsToldByItsKind(String path, HttpTrouble.Kind kind) {
        try (DeviceHttp http = to(server.getAddress())) {
            assertThatThrownBy(() -> http.send(get(path), "iris to 5"))
                    .isInstanceOfSatisfying(
                            HttpTrouble.class, e -> assertThat(e.kind()).isEqualTo(kind));
            assertThat(asked).as("nothing is tried twice").hasValue(1);
            assertThat(http.send(get("/fine"), "iris to 5")).isEqualTo("ok");
        }
        assertThat(log.entries().toString()).contains("iris to 5").doesNotContain("s3cret");
    }

    /** An octet now and then is each in time, but the answer is not; nor is its end waited for. */
    @ParameterizedTest
    @CsvSource({"endless, TOO_LONG", "trickling, SILENT"})
    void anAnswerWithoutAnEndIsGivenUp(String how, HttpTrouble.Kind kind) throws Exception {
        CountDownLatch done = new CountDownLatch(1);
        server.createContext(
                "/" + how,
                exchange -> {
                    exchange.sendResponseHeaders(200, 0);
                    try (OutputStream out = exchange.getResponseBody()) {
                        while (!done.await(
                                how.equals("endless") ? 0 : 200, TimeUnit.MILLISECONDS)) {
                            out.write(how.equals("endless") ? new byte[8_192] : new byte[1]);
                            out.flush();
                        }
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                });
        try (DeviceHttp http = to(server.getAddress())) {
            CompletableFuture<String> answer =
                    CompletableFuture.supplyAsync(() -> http.send(get("/" + how), "ask"));
            assertThatThrownBy(() -> answer.get(30, TimeUnit.SECONDS))
                    .hasCauseInstanceOf(HttpTrouble.class)
                    .extracting(e -> ((HttpTrouble) e.getCause()).kind())
                    .isEqualTo(kind);
        } finally {
            done.countDown();
        }
    }

    @Test
    void aShutPortIsSilent() throws IOException {
        int port;
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        InetSocketAddress nobody = new InetSocketAddress(InetAddress.getLoopbackAddress(), port);
        try (DeviceHttp http = to(nobody)) {
            assertThatThrownBy(() -> http.send(get("/"), "ask"))
                    .isInstanceOfSatisfying(
                            HttpTrouble.class,
                            e -> assertThat(e.kind()).isEqualTo(HttpTrouble.Kind.SILENT));
        }
    }

    /**
     * RFC 7616 with either hash, with and without qop (RFC 2069), and with a nonce that is old when
     * it is used first; computed here apart from the client.
     */
    @ParameterizedTest
    @CsvSource({
        "MD5, auth, false",
        "MD5, '', false",
        "SHA-256, auth, false",
        "SHA-256, '', false",
        "MD5, auth, true",
        "SHA-256, auth, true"
    })
    void digestIsAnsweredInAllItsForms(String algorithm, String qop, boolean stale) {
        AtomicInteger nonces = new AtomicInteger();
        server.createContext(
                "/digest",
                exchange -> {
                    String shown = exchange.getRequestHeaders().getFirst("Authorization");
                    String wanted = stale ? "n2" : "n1";
                    boolean in =
                            shown != null
                                    && part(shown, "nonce").equals(wanted)
                                    && part(shown, "response")
                                            .equals(response(algorithm, qop, shown));
                    if (!in) {
                        String nonce = "n" + (shown == null ? 1 : 2);
                        nonces.incrementAndGet();
                        exchange.getResponseHeaders()
                                .add(
                                        "WWW-Authenticate",
                                        "Digest realm=\"r\", nonce=\""
                                                + nonce
                                                + "\", algorithm="
                                                + algorithm
                                                + (qop.isEmpty() ? "" : ", qop=\"auth\"")
                                                + (shown == null ? "" : ", stale=true"));
                    }
                    exchange.sendResponseHeaders(in ? 200 : 401, -1);
                    exchange.close();
                });
        try (DeviceHttp http = to(server.getAddress())) {
            assertThat(http.send(get("/digest?a=1"), "look")).isEmpty();
        }
        assertThat(nonces).hasValue(stale ? 2 : 1);
    }

    /** What let us in last is shown at once, until the device wants another. */
    @Test
    void aDeviceAsksWhoWeAreOnceAndNotEachTime() {
        AtomicInteger asked = new AtomicInteger();
        AtomicInteger wanted = new AtomicInteger(1);
        server.createContext(
                "/known",
                exchange -> {
                    String shown = exchange.getRequestHeaders().getFirst("Authorization");
                    boolean in =
                            shown != null
                                    && part(shown, "nonce").equals("n" + wanted)
                                    && part(shown, "response")
                                            .equals(response("SHA-256", "auth", shown));
                    if (!in) {
                        asked.incrementAndGet();
                        exchange.getResponseHeaders()
                                .add(
                                        "WWW-Authenticate",
                                        "Digest realm=\"r\", qop=\"auth\", algorithm=SHA-256,"
                                                + " nonce=\"n"
                                                + wanted
                                                + "\", stale=true");
                    }
                    exchange.sendResponseHeaders(in ? 200 : 401, -1);
                    exchange.close();
                });
        try (DeviceHttp http = to(server.getAddress())) {
            for (int i = 0; i < 5; i++) {
                http.send(get("/known?n=" + i), "look");
            }
            assertThat(asked).hasValue(1);
            wanted.set(2);
            for (int i = 0; i < 5; i++) {
                http.send(get("/known?n=" + i), "look");
            }
            assertThat(asked).hasValue(2);
        }
    }

    private static String part(String header, String name) {
        Matcher m = Pattern.compile("[ ,]" + name + "=\"?([^\",]*)").matcher(header);
        return m.find() ? m.group(1) : "";
    }

    private static String response(String algorithm, String qop, String shown) {
        String mine = hash(algorithm, "admin:r:s3cret");
        String asked = hash(algorithm, "GET:" + part(shown, "uri"));
        String between =
                qop.isEmpty()
                        ? part(shown, "nonce")
                        : String.join(
                                ":",
                                part(shown, "nonce"),
                                part(shown, "nc"),
                                part(shown, "cnonce"),
                                "auth");
        return hash(algorithm, mine + ":" + between + ":" + asked);
    }

    private static String hash(String algorithm, String text) {
        try {
            byte[] octets = text.getBytes(StandardCharsets.UTF_8);
            return HexFormat.of().formatHex(MessageDigest.getInstance(algorithm).digest(octets));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
