package app.jerboa.wire.rtsp;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a device wants to be signed in to (RFC 7616), with the better hash of those it offers.
 *
 * @param algorithm {@code MD5} or {@code SHA-256}
 * @param qop whether it takes a quality of protection; old devices do not
 * @param stale the password may be right, only the nonce is too old
 */
public record DigestChallenge(
        String realm, String nonce, String algorithm, boolean qop, boolean stale) {
    private static final Pattern PART =
            Pattern.compile("(\\w+)\\s*=\\s*(?:\"([^\"]*)\"|([^,\\s]*))");

    /** Best first. */
    private static final List<String> KNOWN = List.of("SHA-256", "MD5");

    /**
     * @param headers the values of every WWW-Authenticate header
     * @return empty when none of them is a Digest with a hash that is known here
     */
    public static Optional<DigestChallenge> best(List<String> headers) {
        return KNOWN.stream()
                .flatMap(
                        a ->
                                headers.stream()
                                        .flatMap(h -> read(h).stream())
                                        .filter(c -> c.algorithm().equals(a)))
                .findFirst();
    }

    private static Optional<DigestChallenge> read(String header) {
        if (!header.regionMatches(true, 0, "Digest ", 0, "Digest ".length())) {
            return Optional.empty();
        }
        Map<String, String> parts = new HashMap<>();
        Matcher m = PART.matcher(header);
        while (m.find()) {
            parts.put(m.group(1), m.group(2) == null ? m.group(3) : m.group(2));
        }
        return Optional.of(
                new DigestChallenge(
                        parts.getOrDefault("realm", ""),
                        parts.getOrDefault("nonce", ""),
                        parts.getOrDefault("algorithm", "MD5"),
                        List.of(parts.getOrDefault("qop", "").split("\\s*,\\s*", -1))
                                .contains("auth"),
                        parts.getOrDefault("stale", "").equalsIgnoreCase("true")));
    }

    /**
     * The Authorization header that answers it.
     *
     * @param clientNonce made afresh for each answer
     */
    public String answer(
            String user, String password, String method, String uri, String clientNonce) {
        String count = "00000001";
        String who = hash(user + ":" + realm + ":" + password);
        String what = hash(method + ":" + uri);
        String middle = qop ? String.join(":", nonce, count, clientNonce, "auth") : nonce;
        String head =
                "Digest username=\"%s\", realm=\"%s\", nonce=\"%s\", uri=\"%s\", algorithm=%s, response=\"%s\""
                        .formatted(
                                user,
                                realm,
                                nonce,
                                uri,
                                algorithm,
                                hash(who + ":" + middle + ":" + what));
        return qop ? head + ", qop=auth, nc=" + count + ", cnonce=\"" + clientNonce + "\"" : head;
    }

    private String hash(String text) {
        try {
            MessageDigest digest = MessageDigest.getInstance(algorithm);
            return HexFormat.of().formatHex(digest.digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
