package app.jerboa.standin.web;

import app.jerboa.standin.device.Door;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Collections;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Lets people in by Digest (RFC 7616), with SHA-256 and, for old clients, MD5. */
public final class DigestDoor {
    private static final String REALM = "camera";
    private static final int MOST_NONCES = 256;
    private static final Pattern PART = Pattern.compile("(\\w+)=(?:\"([^\"]*)\"|([^, ]*))");

    private final Door door;

    /** Those handed out lately; who comes with an older one is asked anew. */
    private final Set<String> nonces =
            Collections.newSetFromMap(
                    Collections.synchronizedMap(
                            new LinkedHashMap<>() {
                                private static final long serialVersionUID = 1L;

                                @Override
                                protected boolean removeEldestEntry(
                                        Map.Entry<String, Boolean> eldest) {
                                    return size() > MOST_NONCES;
                                }
                            }));

    public DigestDoor(Door door) {
        this.door = door;
    }

    /** How to come in, the better one first. */
    public List<String> challenges() {
        String nonce = UUID.randomUUID().toString();
        nonces.add(nonce);
        return List.of("SHA-256", "MD5").stream()
                .map(
                        a ->
                                "Digest realm=\""
                                        + REALM
                                        + "\", qop=\"auth\", algorithm="
                                        + a
                                        + ", nonce=\""
                                        + nonce
                                        + "\"")
                .toList();
    }

    /**
     * @param authorization as the header has it; blank for none
     */
    public boolean lets(String authorization, String method) {
        if (!authorization.startsWith("Digest ")) {
            return false;
        }
        boolean right = right(authorization, method);
        boolean shut = door.shut();
        door.tried(right);
        return right && !shut;
    }

    private boolean right(String authorization, String method) {
        Map<String, String> parts = new HashMap<>();
        Matcher m = PART.matcher(authorization);
        while (m.find()) {
            parts.put(m.group(1), m.group(2) == null ? m.group(3) : m.group(2));
        }
        String algorithm = parts.getOrDefault("algorithm", "MD5");
        boolean known = algorithm.equals("MD5") || algorithm.equals("SHA-256");
        if (!known
                || !nonces.contains(parts.getOrDefault("nonce", ""))
                || !door.user().equals(parts.get("username"))) {
            return false;
        }
        String mine = hash(algorithm, door.user() + ":" + REALM + ":" + door.password());
        String asked = hash(algorithm, method + ":" + parts.get("uri"));
        String middle =
                parts.containsKey("qop")
                        ? String.join(
                                ":",
                                parts.get("nonce"),
                                parts.get("nc"),
                                parts.get("cnonce"),
                                parts.get("qop"))
                        : parts.get("nonce");
        return hash(algorithm, mine + ":" + middle + ":" + asked).equals(parts.get("response"));
    }

    private static String hash(String algorithm, String text) {
        try {
            MessageDigest digest = MessageDigest.getInstance(algorithm);
            return HexFormat.of().formatHex(digest.digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
