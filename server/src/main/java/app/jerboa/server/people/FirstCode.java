package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.words.Words;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Where the whole network can reach the page, the first account is for whoever reads the code that
 * the launcher printed, not for whoever comes first.
 */
@Component
class FirstCode {
    private final String code;

    FirstCode(Settings settings) {
        this.code = settings.firstCode();
    }

    boolean isNeeded() {
        return !code.isEmpty();
    }

    /**
     * @throws Problem when a code is needed and this is not it
     */
    void insist(String given) {
        if (isNeeded() && !MessageDigest.isEqual(octets(code), octets(given.strip()))) {
            throw new Problem(
                    HttpStatus.FORBIDDEN,
                    "wrong-code",
                    Words.say("refused.first-code"),
                    Map.of("field", "code"));
        }
    }

    private static byte[] octets(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
