package app.jerboa.standin.web;

import app.jerboa.core.profile.SignIn;
import app.jerboa.standin.device.Door;
import com.sun.net.httpserver.HttpExchange;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;

/** Lets people in by Basic (RFC 7617), Digest (RFC 7616) or a cookie. */
final class Guard {
    private static final String REALM = "camera";

    private final SignIn how;
    private final Door door;
    private final DigestDoor digest;
    private final Set<String> sessions = ConcurrentHashMap.newKeySet();

    Guard(SignIn how, Door door) {
        this.how = how;
        this.door = door;
        this.digest = new DigestDoor(door);
    }

    boolean letsIn(HttpExchange exchange) {
        String shown = exchange.getRequestHeaders().getFirst("Authorization");
        String authorization = shown == null ? "" : shown;
        if (how == SignIn.NOBODY || how == SignIn.COOKIE) {
            return how == SignIn.NOBODY || cookie(exchange);
        }
        if (authorization.isEmpty()) {
            return false;
        }
        return how == SignIn.DIGEST
                ? digest.lets(authorization, exchange.getRequestMethod())
                : tried(
                        authorization.equals(
                                "Basic " + base64(door.user() + ":" + door.password())));
    }

    /** Nobody gets in while it is shut, whatever they know. */
    private boolean tried(boolean right) {
        boolean shut = door.shut();
        door.tried(right);
        return right && !shut;
    }

    private static String base64(String text) {
        return Base64.getEncoder().encodeToString(text.getBytes(StandardCharsets.UTF_8));
    }

    private boolean cookie(HttpExchange exchange) {
        String cookie = exchange.getRequestHeaders().getFirst("Cookie");
        return cookie != null && sessions.stream().anyMatch(s -> cookie.contains("seat=" + s));
    }

    /** A cookie for who knows the password; none for anybody else. */
    boolean signsIn(HttpExchange exchange, String askedUser, String askedPassword) {
        if (!tried(door.user().equals(askedUser) && door.password().equals(askedPassword))) {
            return false;
        }
        String session = UUID.randomUUID().toString();
        sessions.add(session);
        exchange.getResponseHeaders().add("Set-Cookie", "seat=" + session + "; HttpOnly; Path=/");
        return true;
    }

    /** How to come in. */
    void challenge(HttpExchange exchange) {
        if (how == SignIn.BASIC) {
            exchange.getResponseHeaders().add("WWW-Authenticate", "Basic realm=\"" + REALM + "\"");
        } else if (how == SignIn.DIGEST) {
            digest.challenges()
                    .forEach(c -> exchange.getResponseHeaders().add("WWW-Authenticate", c));
        }
    }
}
