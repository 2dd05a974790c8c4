package app.jerboa.server.secrets;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.words.Words;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.SecretKey;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.encrypt.AesGcmBytesEncryptor;
import org.springframework.security.crypto.encrypt.BytesEncryptor;
import org.springframework.security.crypto.keygen.KeyGenerators;
import org.springframework.stereotype.Component;

/** Encrypts secrets (AES-256-GCM) with the installation's key, which is not in the database. */
@Component
public class Sealing {
    private static final int NONCE_OCTETS = 12;
    private static final int SHORTEST_KEY = 32;

    private final String key;

    Sealing(Settings settings) {
        this.key = settings.secretKey();
    }

    /**
     * @return what only {@link #open} can read; another text each time
     */
    public String seal(String text) {
        byte[] sealed = encryptor(key("seal")).encrypt(text.getBytes(StandardCharsets.UTF_8));
        return Base64.getEncoder().encodeToString(sealed);
    }

    /**
     * @throws Problem when it was sealed with another key
     */
    public String open(String sealed) {
        try {
            byte[] text = encryptor(key("seal")).decrypt(Base64.getDecoder().decode(sealed));
            return new String(text, StandardCharsets.UTF_8);
        } catch (IllegalStateException | IllegalArgumentException e) {
            throw new Problem(HttpStatus.CONFLICT, "other-key", Words.say("refused.other-key"));
        }
    }

    /** The same for the same text, and nothing else can be told from it (HMAC-SHA-256). */
    public String fingerprint(String text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(key("print"));
            byte[] print = mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
            return Base64.getEncoder().encodeToString(print);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("HMAC-SHA-256 is missing", e);
        }
    }

    /** NIST SP 800-38D: a nonce of 96 bits, fresh for each text. */
    static BytesEncryptor encryptor(SecretKey key) {
        return AesGcmBytesEncryptor.withSecretKey(key)
                .ivGenerator(KeyGenerators.secureRandom(NONCE_OCTETS))
                .build();
    }

    /** One key for each purpose. */
    private SecretKey key(String purpose) {
        if (key.length() < SHORTEST_KEY) {
            throw new Problem(
                    HttpStatus.SERVICE_UNAVAILABLE, "no-secret-key", Words.say("refused.no-key"));
        }
        try {
            byte[] octets =
                    MessageDigest.getInstance("SHA-256")
                            .digest((purpose + ":" + key).getBytes(StandardCharsets.UTF_8));
            return new SecretKeySpec(octets, "AES");
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("SHA-256 is missing", e);
        }
    }
}
