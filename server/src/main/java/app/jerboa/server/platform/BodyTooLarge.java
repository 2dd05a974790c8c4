package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import java.io.IOException;
import org.springframework.http.HttpStatus;

/** A request body went over its limit while it was read. */
final class BodyTooLarge extends IOException {
    BodyTooLarge() {
        super("body over the limit");
    }

    static Problem problem() {
        return new Problem(
                HttpStatus.CONTENT_TOO_LARGE, "body-too-large", Words.say("refused.too-large"));
    }
}
