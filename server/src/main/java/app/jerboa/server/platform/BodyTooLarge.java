package app.jerboa.server.platform;

import java.io.IOException;
import org.springframework.http.HttpStatus;

/** A request body went over its limit while it was read. */
final class BodyTooLarge extends IOException {
    BodyTooLarge() {
        super("body over the limit");
    }

    static Problem problem() {
        return new Problem(
                HttpStatus.CONTENT_TOO_LARGE,
                "body-too-large",
                "This is larger than Jerboa takes at once (1 MiB; 8 MiB for job files and photos) and was not read. Nothing was changed.");
    }
}
