package app.jerboa.server.secrets;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Map;
import javax.crypto.SecretKey;
import javax.crypto.SecretKeyFactory;
import javax.crypto.spec.PBEKeySpec;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.http.HttpStatus;

/**
 * Encrypts what leaves in a file with a passphrase: PBKDF2 with HMAC-SHA-256 makes the key (RFC
 * 8018), AES-256-GCM seals. Written as {@code pbkdf2-sha256$rounds$salt$sealed}, Base64.
 */
public final class Passphrase {
    private static final int MOST_ROUNDS = 5_000_000;
    private static final int SALT_OCTETS = 16;
    private static final int SHORTEST = 8;
    private static final int LONGEST = 200;
    private static final String SCHEME = "pbkdf2-sha256";

    private Passphrase() {}

    /**
     * @return these rounds
     * @throws IllegalArgumentException for as many as would not be opened again
     */
    static int allowed(int rounds) {
        if (rounds < 1 || rounds > MOST_ROUNDS) {
            throw new IllegalArgumentException(
                    "jerboa.passphrase-rounds is " + rounds + ", not 1 to " + MOST_ROUNDS);
        }
        return rounds;
    }

    /**
     * @param rounds of PBKDF2; stands in the text, so that one sealed with others opens too
     * @throws Problem for a passphrase that is too short
     */
    public static String seal(String text, String passphrase, int rounds) {
        insist(passphrase);
        byte[] salt = new byte[SALT_OCTETS];
        new SecureRandom().nextBytes(salt);
        byte[] sealed =
                Sealing.encryptor(key(passphrase, salt, rounds))
                        .encrypt(text.getBytes(StandardCharsets.UTF_8));
        Base64.Encoder base64 = Base64.getEncoder();
        return SCHEME
                + "$"
                + rounds
                + "$"
                + base64.encodeToString(salt)
                + "$"
                + base64.encodeToString(sealed);
    }

    /**
     * @throws Problem for another passphrase, or a text that was not sealed so
     */
    public static String open(String sealed, String passphrase) {
        insist(passphrase);
        String[] parts = sealed.split("\\$", -1);
        try {
            int rounds = parts.length == 4 ? Integer.parseInt(parts[1]) : 0;
            if (!parts[0].equals(SCHEME)) {
                throw new IllegalArgumentException("not sealed so");
            }
            Base64.Decoder base64 = Base64.getDecoder();
            SecretKey key = key(passphrase, base64.decode(parts[2]), allowed(rounds));
            byte[] text = Sealing.encryptor(key).decrypt(base64.decode(parts[3]));
            return new String(text, StandardCharsets.UTF_8);
        } catch (IllegalStateException | IllegalArgumentException e) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "wrong-passphrase",
                    Words.say("refused.passphrase"),
                    Map.of("field", "passphrase"));
        }
    }

    private static void insist(String passphrase) {
        if (passphrase.length() < SHORTEST || passphrase.length() > LONGEST) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-passphrase",
                    Words.say(
                            "refused.passphrase-length",
                            Map.of("least", SHORTEST, "most", LONGEST)),
                    Map.of("field", "passphrase"));
        }
    }

    private static SecretKey key(String passphrase, byte[] salt, int rounds) {
        PBEKeySpec spec = new PBEKeySpec(passphrase.toCharArray(), salt, rounds, 256);
        try {
            byte[] octets =
                    SecretKeyFactory.getInstance("PBKDF2WithHmacSHA256")
                            .generateSecret(spec)
                            .getEncoded();
            return new SecretKeySpec(octets, "AES");
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("PBKDF2 is missing", e);
        }
    }
}
