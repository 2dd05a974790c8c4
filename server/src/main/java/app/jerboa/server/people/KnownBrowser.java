package app.jerboa.server.people;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/**
 * A browser that somebody has signed in with before keeps a secret that tells it from others. It
 * opens nothing by itself; only its hash is stored.
 */
@Component
class KnownBrowser {
    private static final String COOKIE = "JERBOA_KNOWN";
    private static final Duration KEPT = Duration.ofDays(180);
    private static final int SECRET_OCTETS = 24;

    private final AccountMapper accounts;
    private final SecureRandom random = new SecureRandom();

    KnownBrowser(AccountMapper accounts) {
        this.accounts = accounts;
    }

    /** Hash of what this browser keeps; empty when it keeps nothing. */
    String of(HttpServletRequest request) {
        return secret(request).map(KnownBrowser::hash).orElse("");
    }

    private static Optional<String> secret(HttpServletRequest request) {
        Cookie[] cookies = request.getCookies();
        return cookies == null
                ? Optional.empty()
                : Arrays.stream(cookies)
                        .filter(c -> c.getName().equals(COOKIE))
                        .map(Cookie::getValue)
                        .filter(v -> v.matches("[0-9a-f]{48}"))
                        .findFirst();
    }

    void remember(String login, HttpServletRequest request, HttpServletResponse response) {
        String secret = secret(request).orElseGet(this::fresh);
        accounts.rememberBrowser(login, hash(secret));
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, secret)
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Strict")
                        .path("/auth")
                        .maxAge(KEPT)
                        .build()
                        .toString());
    }

    private String fresh() {
        byte[] octets = new byte[SECRET_OCTETS];
        random.nextBytes(octets);
        return HexFormat.of().formatHex(octets);
    }

    private static String hash(String secret) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            return HexFormat.of().formatHex(digest.digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
