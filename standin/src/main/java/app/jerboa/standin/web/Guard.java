package app.jerboa.standin.web;

import app.jerboa.core.profile.SignIn;
import app.jerboa.standin.device.Door;
import com.sun.net.httpserver.HttpExchange;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Base64;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Lets people in by Basic (RFC 7617), Digest (RFC 7616) or a cookie. */
final class Guard {
    private static final String REALM = "camera";
    private static final Pattern PART = Pattern.compile("(\\w+)=(?:\"([^\"]*)\"|([^, ]*))");

    private final SignIn how;
    private final Door door;
    private final Set<String> nonces = ConcurrentHashMap.newKeySet();
    private final Set<String> sessions = ConcurrentHashMap.newKeySet();

    Guard(SignIn how, Door door) {
        this.how = how;
        this.door = door;
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
        boolean right =
                how == SignIn.BASIC
                        ? authorization.equals(
                                "Basic " + base64(door.user() + ":" + door.password()))
                        : digest(authorization, exchange.getRequestMethod());
        return tried(right);
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
            String nonce = UUID.randomUUID().toString();
            nonces.add(nonce);
            exchange.getResponseHeaders()
                    .add(
                            "WWW-Authenticate",
                            "Digest realm=\""
                                    + REALM
                                    + "\", qop=\"auth\", algorithm=SHA-256, nonce=\""
                                    + nonce
                                    + "\"");
        }
    }

    private boolean digest(String authorization, String method) {
        if (!authorization.startsWith("Digest ")) {
            return false;
        }
        Map<String, String> parts = new HashMap<>();
        Matcher m = PART.matcher(authorization);
        while (m.find()) {
            parts.put(m.group(1), m.group(2) == null ? m.group(3) : m.group(2));
        }
        if (!nonces.contains(parts.get("nonce")) || !door.user().equals(parts.get("username"))) {
            return false;
        }
        String mine = hash(door.user() + ":" + REALM + ":" + door.password());
        String asked = hash(method + ":" + parts.get("uri"));
        String wanted =
                hash(
                        String.join(
                                ":",
                                mine,
                                parts.get("nonce"),
                                parts.get("nc"),
                                parts.get("cnonce"),
                                parts.get("qop"),
                                asked));
        return wanted.equals(parts.get("response"));
    }

    private static String hash(String text) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            return HexFormat.of().formatHex(digest.digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
