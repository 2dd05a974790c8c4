package app.jerboa.server;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Flow;
import java.util.function.Consumer;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The real server on a real port and a database of its own, spoken to over HTTP like anybody would.
 */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
abstract class RunningServer {
    static final String PASSWORD = "test-only-password";
    static final String NEWCOMER_PASSWORD = "newcomer-password";
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String CLUSTER =
            Optional.ofNullable(System.getenv("JERBOA_TEST_DB"))
                    .orElseThrow(
                            () ->
                                    new IllegalStateException(
                                            "no test database: run ./jerboa test, or ./jerboa testdb beside a single test"));
    private static final String DATABASE = freshDatabase();

    @LocalServerPort int port;

    private static String freshDatabase() {
        String name = "server_test_" + ProcessHandle.current().pid() + "_" + System.nanoTime();
        try (var connection =
                        DriverManager.getConnection(CLUSTER + "/postgres", "jerboa", password());
                var statement = connection.createStatement()) {
            statement.execute("create database " + name);
        } catch (SQLException e) {
            throw new IllegalStateException("the test database could not be made", e);
        }
        return name;
    }

    private static String password() {
        return Optional.ofNullable(System.getenv("JERBOA_TEST_DB_PASSWORD")).orElse("");
    }

    @DynamicPropertySource
    static void settings(DynamicPropertyRegistry registry) {
        registry.add("spring.datasource.url", () -> CLUSTER + "/" + DATABASE);
        registry.add("spring.datasource.username", () -> "jerboa");
        registry.add("spring.datasource.password", RunningServer::password);
        registry.add("jerboa.password-cost", () -> "4");
        registry.add("jerboa.passphrase-rounds", () -> "1000");
        registry.add("jerboa.demo-password", () -> PASSWORD);
        registry.add("jerboa.secret-key", () -> "a key for tests, thirty-two letters");
    }

    static String databaseUrl() {
        return CLUSTER + "/" + DATABASE;
    }

    static String databasePassword() {
        return password();
    }

    /** A demo account or a newcomer, with this part in the job. */
    Client member(Client lead, String job, String login, String role) {
        Client client = new Client();
        if (login.equals("tomas") || login.equals("mei")) {
            client.signIn(login, PASSWORD);
            client.send("POST", "/auth/invitations/" + invite(lead, job, role) + "/join", Map.of());
        } else {
            client.newcomer(lead, job, login, role);
        }
        return client;
    }

    private static String invite(Client lead, String job, String role) {
        Map<String, Object> body = Map.of("role", role, "days", 1);
        String path =
                lead.send("POST", job + "/people/invitations", body).json().get("path").asString();
        return path.replace("/invitation/", "");
    }

    /** A small picture. */
    static byte[] png(int width, int height) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(
                    new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB), "png", out);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    static List<JsonNode> all(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false).toList();
    }

    /** A change set of one edit. */
    static Map<String, Object> edit(
            String item, long id, String field, String before, String after) {
        Map<String, Object> edit =
                Map.of("item", item, "id", id, "field", field, "before", before, "after", after);
        return Map.of("adds", List.of(), "edits", List.of(edit), "removes", List.of());
    }

    /**
     * What came back; after a change, the job as it is then.
     *
     * @param text as it came
     */
    /** As JSON says that something is absent. */
    static final Object NONE = JSON.nullNode();

    record Answer(int status, JsonNode json, String text, HttpResponse<String> raw) {
        String code() {
            return json.path("code").asString("");
        }
    }

    /** A browser-like client: keeps cookies, sends the CSRF token back. */
    final class Client {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
        private final Shown shown = new Shown();
        boolean sendToken = true;

        Client signIn() {
            return signIn("asha", PASSWORD);
        }

        Client signIn(String login, String password) {
            get("/auth/session");
            Answer answer =
                    send("POST", "/auth/session", Map.of("login", login, "password", password));
            if (answer.status() != 200) {
                throw new IllegalStateException("sign-in failed: " + answer.text());
            }
            get("/auth/session");
            return this;
        }

        /** Comes in by invitation with an account made there; the invitation's secret. */
        String newcomer(Client lead, String job, String login, String role) {
            String secret = invite(lead, job, role);
            get("/auth/session");
            Map<String, String> account =
                    Map.of(
                            "login",
                            login,
                            "name",
                            "Newcomer " + login,
                            "password",
                            NEWCOMER_PASSWORD);
            Answer answer = send("POST", "/auth/invitations/" + secret + "/account", account);
            if (answer.status() != 200) {
                throw new IllegalStateException("no account: " + answer.text());
            }
            get("/auth/session");
            return secret;
        }

        /** A log note as a browser's form sends it. */
        Answer sendNote(String path, String text, long device, byte[] photo) {
            String edge = "----edge";
            ByteArrayOutputStream body = new ByteArrayOutputStream();
            body.writeBytes(part(edge, "text\"", text + "\r\n"));
            body.writeBytes(part(edge, "device\"", device + "\r\n"));
            body.writeBytes(part(edge, "photo\"; filename=\"a.png\"", ""));
            body.writeBytes(photo);
            body.writeBytes(("\r\n--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8));
            return send(
                    request(path)
                            .header("Content-Type", "multipart/form-data; boundary=" + edge)
                            .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                            .build());
        }

        /** A file in a part of its own. */
        Answer sendFile(String path, String part, byte[] file) {
            String edge = "----edge";
            ByteArrayOutputStream body = new ByteArrayOutputStream();
            body.writeBytes(part(edge, part + "\"; filename=\"a.png\"", ""));
            body.writeBytes(file);
            body.writeBytes(("\r\n--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8));
            return send(
                    request(path)
                            .header("Content-Type", "multipart/form-data; boundary=" + edge)
                            .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                            .build());
        }

        /** A form of texts, each in a part of its own. */
        Answer sendForm(String path, Map<String, String> fields) {
            String edge = "----edge";
            ByteArrayOutputStream body = new ByteArrayOutputStream();
            fields.forEach((name, text) -> body.writeBytes(part(edge, name + "\"", text + "\r\n")));
            body.writeBytes(("--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8));
            return send(
                    request(path)
                            .header("Content-Type", "multipart/form-data; boundary=" + edge)
                            .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                            .build());
        }

        /** A form that is cut off in the middle. */
        Answer sendBroken(String path) {
            return send(
                    request(path)
                            .header("Content-Type", "multipart/form-data; boundary=edge")
                            .POST(HttpRequest.BodyPublishers.ofString("--edge\r\nContent-Disp"))
                            .build());
        }

        private byte[] part(String edge, String name, String value) {
            return ("--"
                            + edge
                            + "\r\nContent-Disposition: form-data; name=\""
                            + name
                            + "\r\n\r\n"
                            + value)
                    .getBytes(StandardCharsets.UTF_8);
        }

        /** Hands on each line of an event stream until it ends. */
        void listen(String path, Consumer<String> line) {
            HttpRequest stream =
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path)).build();
            try {
                http.send(stream, HttpResponse.BodyHandlers.ofLines()).body().forEach(line);
            } catch (IOException | UncheckedIOException ended) {
                line.accept("ended");
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        Answer get(String path) {
            return sendText("GET", path, "");
        }

        /** A file as its bytes. */
        byte[] getBytes(String path) throws IOException, InterruptedException {
            return http.send(request(path).build(), HttpResponse.BodyHandlers.ofByteArray()).body();
        }

        Answer send(String method, String path, Object body) {
            return sendText(method, path, JSON.writeValueAsString(body));
        }

        /** As a browser sends what it may have to send again. */
        Answer sendOnce(String method, String path, Object body, String key) {
            return send(
                    request(path)
                            .header("Content-Type", "application/json")
                            .header("Idempotency-Key", key)
                            .method(
                                    method,
                                    HttpRequest.BodyPublishers.ofString(
                                            JSON.writeValueAsString(body)))
                            .build());
        }

        Answer sendText(String method, String path, String body) {
            HttpRequest.Builder request =
                    request(path)
                            .header("Content-Type", "application/json")
                            .method(method, HttpRequest.BodyPublishers.ofString(body));
            return send(request.build());
        }

        /** A file as it is. */
        Answer sendBytes(String path, byte[] file) {
            return sendBytes(path, file, "");
        }

        Answer sendBytes(String path, byte[] file, String passphrase) {
            HttpRequest.Builder request =
                    request(path)
                            .header(
                                    "Content-Type",
                                    path.endsWith("/file")
                                            ? "application/json"
                                            : "application/octet-stream")
                            .POST(HttpRequest.BodyPublishers.ofByteArray(file));
            if (!passphrase.isEmpty()) {
                request.header("X-Passphrase", passphrase);
            }
            return send(request.build());
        }

        /** A file of unknown length, as fast as it comes. */
        Answer sendStream(String path, Flow.Publisher<ByteBuffer> file) {
            return send(
                    request(path)
                            .header("Content-Type", "application/json")
                            .POST(HttpRequest.BodyPublishers.fromPublisher(file))
                            .build());
        }

        private HttpRequest.Builder request(String path) {
            HttpRequest.Builder request =
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                            .timeout(Duration.ofSeconds(20));
            if (sendToken) {
                cookies.getCookieStore().getCookies().stream()
                        .filter(c -> c.getName().equals("XSRF-TOKEN"))
                        .findFirst()
                        .ifPresent(c -> request.header("X-XSRF-TOKEN", c.getValue()));
            }
            return request;
        }

        private Answer send(HttpRequest request) {
            try {
                HttpResponse<String> response =
                        http.send(request, HttpResponse.BodyHandlers.ofString());
                boolean json =
                        response.headers().firstValue("Content-Type").orElse("").contains("json");
                JsonNode body = JSON.readTree(json ? response.body() : "{}");
                shown.read(request.uri().getPath(), body);
                JsonNode seen =
                        Shown.isPatch(body) && !request.method().equals("GET")
                                ? shown.follow(body, job -> get(job).json())
                                : body;
                return new Answer(response.statusCode(), seen, response.body(), response);
            } catch (IOException | InterruptedException e) {
                throw new IllegalStateException("no answer", e);
            }
        }
    }
}
