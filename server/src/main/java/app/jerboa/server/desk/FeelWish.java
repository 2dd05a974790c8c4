package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.server.platform.Problem;
import java.util.Map;
import org.springframework.http.HttpStatus;

/** How a person wants one kind of camera to answer; shapes and ranges as in {@link FeelBody}. */
record FeelWish(
        double deadZone,
        double k,
        double rampSeconds,
        double pan,
        double tilt,
        double zoom,
        double focus,
        double recall,
        double crossingSeconds) {
    /**
     * @throws Problem naming the field, for a value out of its range
     */
    Feel feel() {
        try {
            return new Feel(
                    deadZone,
                    k,
                    rampSeconds,
                    new Feel.Speeds(pan, tilt, zoom, focus, recall),
                    crossingSeconds);
        } catch (Feel.Impossible e) {
            throw bad(e.field(), e.getMessage());
        }
    }

    private static Problem bad(String field, String why) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                field + " " + why + ".",
                Map.of("field", field));
    }
}
