package app.jerboa.server.rig;

import app.jerboa.core.net.Ipv4;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.NoWorld;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Talks to the rig's control interface. */
@Component
class RigClient {
    private static final Duration PATIENCE = Duration.ofSeconds(3);

    private final HttpClient http =
            HttpClient.newBuilder()
                    .version(HttpClient.Version.HTTP_1_1)
                    .connectTimeout(PATIENCE)
                    .build();
    private final JsonMapper json;
    private final String url;

    RigClient(Settings settings, InnerJson json) {
        this.url = settings.rigUrl();
        this.json = json.mapper();
    }

    /** A rig was named in the settings; it may still not answer. */
    boolean configured() {
        return !url.isEmpty();
    }

    RigBodies.Clock clock() {
        return send("GET", "/clock", null, RigBodies.Clock.class);
    }

    RigBodies.Clock setSpeed(double speed) {
        return send("PUT", "/clock", new RigBodies.Speed(speed), RigBodies.Clock.class);
    }

    RigBodies.Hall hall(long job) {
        return send("GET", "/halls/" + job, null, RigBodies.Hall.class);
    }

    /** Of one device, as it stands in its own menu. */
    RigBodies.Network settings(long job, long device) {
        return hall(job).devices().stream()
                .filter(d -> d.id().equals(Long.toString(device)))
                .map(RigBodies.Device::settings)
                .findFirst()
                .orElseThrow(() -> Problem.notFound("device"));
    }

    RigBodies.Hall furnish(long job, RigBodies.Furnish wanted) {
        return send("PUT", "/halls/" + job, wanted, RigBodies.Hall.class);
    }

    /**
     * @param how {@code unplugged} or {@code as-planned}
     */
    RigBodies.Hall begin(long job, String how) {
        return send(
                "PUT", "/halls/" + job + "/begin", new RigBodies.Begin(how), RigBodies.Hall.class);
    }

    RigBodies.Hall moveLaptop(long job, RigBodies.Network to) {
        return send("PUT", "/halls/" + job + "/laptop", to, RigBodies.Hall.class);
    }

    /** One more address for the laptop, beside its own. */
    RigBodies.Hall addToLaptop(long job, RigBodies.Network more) {
        return send("PUT", "/halls/" + job + "/laptop/also", more, RigBodies.Hall.class);
    }

    /** As the technician at the device's own menu, wherever it is. */
    RigBodies.Hall setAtDevice(long job, long device, RigBodies.Network to) {
        String path = "/halls/" + job + "/devices/" + device + "/network";
        return send("PUT", path, to, RigBodies.Hall.class);
    }

    /**
     * @param upstream also what feeds it and what it is reached through
     */
    RigBodies.Hall plug(long job, long device, boolean plugged, boolean upstream) {
        RigBodies.Plug body = new RigBodies.Plug(plugged, upstream);
        return send("PUT", device(job, device) + "/plug", body, RigBodies.Hall.class);
    }

    /** One of the hands at a device that a person there sees something of. */
    RigBodies.Seen hand(long job, long device, String what, Object body) {
        return send("PUT", device(job, device) + "/" + what, body, RigBodies.Seen.class);
    }

    /** A hand that needs no more words. */
    RigBodies.Hall act(long job, long device, String room, String what) {
        String path = "/halls/" + job + "/" + room + "/" + device + "/" + what;
        return send("POST", path, Map.of(), RigBodies.Hall.class);
    }

    /** A port of a network switch, on or off. */
    RigBodies.Hall port(long job, long device, String port, boolean on) {
        String path = device(job, device) + "/ports/" + port.replace(" ", "%20");
        return send("PUT", path, new RigBodies.PortState(on ? "on" : "off"), RigBodies.Hall.class);
    }

    RigBodies.Hall moveEnd(long job, long run, RigBodies.End to) {
        String path = "/halls/" + job + "/runs/" + run + "/end";
        return send("PUT", path, to, RigBodies.Hall.class);
    }

    private static String device(long job, long device) {
        return "/halls/" + job + "/devices/" + device;
    }

    RigBodies.Reach reach(long job, Ipv4 address) {
        return send("GET", "/halls/" + job + "/reach/" + address, null, RigBodies.Reach.class);
    }

    /** As the technician in the device's own settings page; refused when none or several answer. */
    RigBodies.Hall reconfigure(long job, Ipv4 at, RigBodies.Network to) {
        return send("PUT", "/halls/" + job + "/reach/" + at + "/network", to, RigBodies.Hall.class);
    }

    private <T> T send(String method, String path, Object body, Class<T> type) {
        if (!configured()) {
            throw NoWorld.withoutRig();
        }
        HttpRequest.BodyPublisher publisher =
                body == null
                        ? HttpRequest.BodyPublishers.noBody()
                        : HttpRequest.BodyPublishers.ofByteArray(json.writeValueAsBytes(body));
        HttpRequest request =
                HttpRequest.newBuilder(URI.create(url + path))
                        .timeout(PATIENCE)
                        .header("Content-Type", "application/json")
                        .method(method, publisher)
                        .build();
        return read(exchange(request), type);
    }

    private HttpResponse<byte[]> exchange(HttpRequest request) {
        try {
            return http.send(request, HttpResponse.BodyHandlers.ofByteArray());
        } catch (IOException e) {
            throw new Problem(
                    HttpStatus.SERVICE_UNAVAILABLE, "rig-silent", Words.say("refused.rig-away"));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Problem(
                    HttpStatus.SERVICE_UNAVAILABLE, "stopping", Words.say("refused.stopping"));
        }
    }

    private <T> T read(HttpResponse<byte[]> response, Class<T> type) {
        if (response.statusCode() == 200) {
            return json.readValue(response.body(), type);
        }
        Object detail = json.readValue(response.body(), Map.class).get("detail");
        HttpStatus status = HttpStatus.resolve(response.statusCode());
        throw new Problem(
                status == null ? HttpStatus.BAD_GATEWAY : status,
                "rig-refused",
                Words.say(
                        "refused.rig",
                        Map.of("why", Objects.requireNonNullElse(detail, response.statusCode()))));
    }
}
