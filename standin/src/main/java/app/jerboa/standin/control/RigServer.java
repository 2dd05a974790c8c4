package app.jerboa.standin.control;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.TextRejected;
import app.jerboa.standin.Json;
import app.jerboa.standin.Rig;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.NetworkSettings;
import app.jerboa.standin.lan.RigDevice;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.List;
import java.util.Map;
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
    private static final int LONGEST_BODY = 1 << 20;

    private final Rig rig;
    private final Runnable changed;
    private final HttpServer http;

    /**
     * @param changed called after anything worth keeping has changed
     */
    public RigServer(Rig rig, int port, Runnable changed) throws IOException {
        this.rig = rig;
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
        String[] path = exchange.getRequestURI().getPath().substring(1).split("/");
        String where = exchange.getRequestMethod() + " " + path[0];
        return switch (where) {
            case "GET health" -> new Answer(200, Map.of("status", "UP"));
            case "GET clock" -> clock();
            case "PUT clock" -> {
                rig.setSpeed(body(exchange, Bodies.Speed.class).speed());
                changed.run();
                yield clock();
            }
            case "GET halls", "PUT halls", "POST halls" -> halls(exchange, List.of(path));
            default -> problem(404, "nothing here");
        };
    }

    private Answer clock() {
        return new Answer(200, Bodies.ClockBody.of(rig.clock(), rig.now()));
    }

    private Answer halls(HttpExchange exchange, List<String> path) throws IOException {
        boolean read = exchange.getRequestMethod().equals("GET");
        if (path.size() == 2) {
            Hall hall = read ? rig.needHall(path.get(1)) : furnish(exchange, path.get(1));
            return new Answer(200, Bodies.HallBody.of(hall));
        }
        Hall hall = rig.needHall(path.size() > 1 ? path.get(1) : "");
        if (read && path.size() == 4 && path.get(2).equals("reach")) {
            return new Answer(200, Bodies.Reach.of(hall, Ipv4.parse(path.get(3))));
        }
        if (read) {
            return problem(404, "nothing here");
        }
        act(exchange, hall, path);
        changed.run();
        return new Answer(200, Bodies.HallBody.of(hall));
    }

    private Hall furnish(HttpExchange exchange, String id) throws IOException {
        Bodies.Furnish wanted = body(exchange, Bodies.Furnish.class);
        Hall hall = rig.furnish(id, wanted.laptop(), wanted.devices(), wanted.leads());
        changed.run();
        return hall;
    }

    private void act(HttpExchange exchange, Hall hall, List<String> path) throws IOException {
        String what = String.join("/", path.subList(2, path.size()));
        if (what.equals("laptop")) {
            hall.moveLaptop(body(exchange, NetworkSettings.class));
        } else if (what.equals("laptop/also")) {
            hall.addToLaptop(body(exchange, NetworkSettings.class));
        } else if (what.matches("devices/[^/]+/network")) {
            device(hall, path.get(3)).reconfigure(body(exchange, NetworkSettings.class));
        } else if (what.matches("devices/[^/]+/plug")) {
            plug(device(hall, path.get(3)), body(exchange, Bodies.Plug.class).plugged());
        } else if (what.matches("devices/[^/]+/reset")) {
            device(hall, path.get(3)).reset();
        } else if (what.matches("reach/[^/]+/network")) {
            Rig.only(hall, Ipv4.parse(path.get(3)))
                    .reconfigure(body(exchange, NetworkSettings.class));
        } else {
            throw new Rig.Missing("nothing here");
        }
    }

    private static void plug(RigDevice device, boolean plugged) {
        if (plugged) {
            device.plug();
        } else {
            device.unplug();
        }
    }

    private static RigDevice device(Hall hall, String id) {
        return hall.device(id).orElseThrow(() -> new Rig.Missing("no device " + id));
    }

    private static <T> T body(HttpExchange exchange, Class<T> type) throws IOException {
        byte[] bytes = exchange.getRequestBody().readNBytes(LONGEST_BODY + 1);
        if (bytes.length > LONGEST_BODY) {
            throw new IllegalArgumentException("the body is over 1 MiB");
        }
        return Json.MAPPER.readValue(bytes, type);
    }

    @Override
    public void close() {
        http.stop(0);
    }
}
