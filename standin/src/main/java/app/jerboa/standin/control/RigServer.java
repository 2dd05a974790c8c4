package app.jerboa.standin.control;

import app.jerboa.core.value.TextRejected;
import app.jerboa.standin.Json;
import app.jerboa.standin.Rig;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import tools.jackson.core.JacksonException;

/**
 * Answers on loopback: {@code /health}, {@code /clock}, {@code /halls/{hall}} and below it {@code
 * laptop}, {@code laptop/also}, {@code devices/{id}/plug}, {@code devices/{id}/reset}, {@code
 * devices/{id}/network} (at the device's own menu), {@code reach/{address}} and {@code
 * reach/{address}/network}. Requests from a browser page (they carry an Origin) are refused, so
 * that no web site can turn the hall's knobs.
 */
public final class RigServer implements AutoCloseable {
    private static final int LONGEST_BODY = 16 << 20;

    static {
        // Else head and body of an answer wait 40 ms for each other.
        System.setProperty("sun.net.httpserver.nodelay", "true");
    }

    private final List<Route<?>> routes;
    private final Runnable changed;
    private final HttpServer http;

    /**
     * @param changed called after anything worth keeping has changed
     */
    public RigServer(Rig rig, int port, Runnable changed) throws IOException {
        this.routes = new Routes(rig).all();
        this.changed = changed;
        this.http =
                HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        http.setExecutor(
                Executors.newFixedThreadPool(
                        4,
                        task -> {
                            Thread thread = new Thread(task, "rig-control");
                            thread.setDaemon(true);
                            return thread;
                        }));
        http.createContext("/", this::answer);
        http.start();
    }

    public int port() {
        return http.getAddress().getPort();
    }

    private record Answer(int status, Object body) {}

    private void answer(HttpExchange exchange) throws IOException {
        Answer answer;
        try {
            answer = route(exchange);
        } catch (Rig.Missing e) {
            answer = problem(404, e.getMessage());
        } catch (IllegalStateException e) {
            answer = problem(409, e.getMessage());
        } catch (IllegalArgumentException | TextRejected e) {
            answer = problem(400, e.getMessage());
        } catch (NullPointerException e) {
            answer = problem(400, "something is missing in the body");
        } catch (JacksonException e) {
            answer = problem(400, "the body is not the JSON expected here");
        }
        byte[] bytes = Json.MAPPER.writeValueAsBytes(answer.body());
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(answer.status(), bytes.length);
        exchange.getResponseBody().write(bytes);
        exchange.close();
    }

    private static Answer problem(int status, String detail) {
        return new Answer(status, Map.of("detail", detail));
    }

    private Answer route(HttpExchange exchange) throws IOException {
        if (exchange.getRequestHeaders().containsKey("Origin")) {
            return problem(403, "the rig does not talk to web pages");
        }
        String method = exchange.getRequestMethod();
        List<String> at = List.of(exchange.getRequestURI().getPath().substring(1).split("/"));
        for (Route<?> route : routes) {
            Optional<Map<String, String>> parts = route.matches(method, at);
            if (parts.isPresent()) {
                Object answer = asked(route, parts.get(), exchange);
                if (!method.equals("GET")) {
                    changed.run();
                }
                return new Answer(200, answer);
            }
        }
        return problem(404, "nothing here");
    }

    private static <B> Object asked(
            Route<B> route, Map<String, String> parts, HttpExchange exchange) throws IOException {
        B body = route.takes() == Void.class ? null : body(exchange, route.takes());
        return route.by().answer(parts, body);
    }

    private static <T> T body(HttpExchange exchange, Class<T> type) throws IOException {
        byte[] bytes = exchange.getRequestBody().readNBytes(LONGEST_BODY + 1);
        if (bytes.length > LONGEST_BODY) {
            throw new IllegalArgumentException("the body is over 16 MiB");
        }
        return Json.MAPPER.readValue(bytes, type);
    }

    @Override
    public void close() {
        http.stop(0);
    }
}
