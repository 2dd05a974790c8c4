package app.jerboa.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
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
        registry.add("jerboa.demo-password", () -> PASSWORD);
    }

    /** What came back. */
    record Answer(int status, JsonNode json, String text, HttpResponse<String> raw) {
        String code() {
            return json.path("code").asString("");
        }
    }

    /** A browser-like client: keeps cookies, sends the CSRF token back. */
    final class Client {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
        boolean sendToken = true;

        Client signIn() {
            get("/auth/session");
            Answer answer =
                    send("POST", "/auth/session", Map.of("login", "asha", "password", PASSWORD));
            if (answer.status() != 200) {
                throw new IllegalStateException("sign-in failed: " + answer.text());
            }
            get("/auth/session");
            return this;
        }

        Answer get(String path) {
            return sendText("GET", path, "");
        }

        Answer send(String method, String path, Object body) {
            return sendText(method, path, JSON.writeValueAsString(body));
        }

        Answer sendText(String method, String path, String body) {
            HttpRequest.Builder request =
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                            .timeout(Duration.ofSeconds(20))
                            .header("Content-Type", "application/json")
                            .method(method, HttpRequest.BodyPublishers.ofString(body));
            if (sendToken) {
                cookies.getCookieStore().getCookies().stream()
                        .filter(c -> c.getName().equals("XSRF-TOKEN"))
                        .findFirst()
                        .ifPresent(c -> request.header("X-XSRF-TOKEN", c.getValue()));
            }
            return send(request.build());
        }

        private Answer send(HttpRequest request) {
            try {
                HttpResponse<String> response =
                        http.send(request, HttpResponse.BodyHandlers.ofString());
                boolean json =
                        response.headers().firstValue("Content-Type").orElse("").contains("json");
                JsonNode body = JSON.readTree(json ? response.body() : "{}");
                return new Answer(response.statusCode(), body, response.body(), response);
            } catch (IOException | InterruptedException e) {
                throw new IllegalStateException("no answer", e);
            }
        }
    }
}
