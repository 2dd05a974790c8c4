package app.jerboa.e2e.harness;

import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** A user without a browser: keeps cookies, sends the session's token, many requests at once. */
public final class HttpUser extends JobMaker {
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder()
                    .cookieHandler(cookies)
                    .version(HttpClient.Version.HTTP_1_1)
                    .connectTimeout(Duration.ofSeconds(5))
                    .build();
    private final UnaryOperator<String> url;

    public HttpUser(UnaryOperator<String> url) {
        this.url = url;
    }

    public HttpUser signIn(String login) {
        get("/auth/session").join();
        String body = "{\"login\":\"" + login + "\",\"password\":\"" + Programs.PASSWORD + "\"}";
        HttpResponse<String> answer = post("/auth/session", body).join();
        if (answer.statusCode() != 200) {
            throw new IllegalStateException("sign-in failed: " + answer.body());
        }
        get("/auth/session").join();
        return this;
    }

    public long newDemoJob() {
        return BrowserUser.json(post("/api/jobs/demo", "{}").join().body()).get("id").asLong();
    }

    /** As a Cookie header says it. */
    public String cookie() {
        return cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
    }

    /** A desk of this person at the same server. */
    public DeskLine desk() {
        return new DeskLine(url.apply(""), cookie(), 64 * 1024);
    }

    public CompletableFuture<HttpResponse<String>> get(String path) {
        return send(request(path).GET());
    }

    public JsonNode json(String path) {
        return BrowserUser.json(get(path).join().body());
    }

    public CompletableFuture<HttpResponse<String>> post(String path, String body) {
        return request("POST", path, body);
    }

    public CompletableFuture<HttpResponse<String>> request(
            String method, String path, String body) {
        String token =
                cookies.getCookieStore().getCookies().stream()
                        .filter(c -> c.getName().equals("XSRF-TOKEN"))
                        .findFirst()
                        .map(c -> c.getValue())
                        .orElse("");
        return send(
                request(path)
                        .header("Content-Type", "application/json")
                        .header("X-XSRF-TOKEN", token)
                        .method(method, HttpRequest.BodyPublishers.ofString(body)));
    }

    @Override
    public JsonNode send(String method, String path, String body) {
        HttpResponse<String> answer =
                (method.equals("GET") ? get(path) : request(method, path, body)).join();
        return BrowserUser.json(answer.body().isEmpty() ? "{}" : answer.body());
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(url.apply(path))).timeout(Duration.ofSeconds(30));
    }

    private CompletableFuture<HttpResponse<String>> send(HttpRequest.Builder request) {
        return http.sendAsync(request.build(), HttpResponse.BodyHandlers.ofString());
    }
}
