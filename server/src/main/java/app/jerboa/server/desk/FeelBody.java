package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.server.platform.Problem;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import org.springframework.http.HttpStatus;

/**
 * How a person likes one kind of camera to answer the stick.
 *
 * @param profile of the cameras
 * @param own false while the person has set nothing
 * @param deadZone share of the travel, 0 to 0.5
 * @param k bend of the law, 0 (linear) to 10
 * @param rampSeconds to full speed, 0 to 3
 * @param pan share of its full speed, 0.05 to 1
 * @param crossingSeconds the picture takes at least so long to cross; 0 for no such care
 * @param curve share of full speed at deflections 0, 0.05 ... 1, before the limits; empty coming in
 */
record FeelBody(
        String profile,
        boolean own,
        Double deadZone,
        Double k,
        Double rampSeconds,
        Double pan,
        Double tilt,
        Double zoom,
        Double crossingSeconds,
        List<Double> curve) {
    private static final double CURVE_STEP = 0.05;

    static FeelBody of(String profile, boolean own, Feel f) {
        return new FeelBody(
                profile,
                own,
                f.deadZone(),
                f.k(),
                f.rampSeconds(),
                f.pan(),
                f.tilt(),
                f.zoom(),
                f.crossingSeconds(),
                DoubleStream.iterate(0, x -> x < 1 + CURVE_STEP / 2, x -> x + CURVE_STEP)
                        .map(f.law()::speed)
                        .boxed()
                        .toList());
    }

    /**
     * @throws Problem naming the field, for a value that is missing or out of its range
     */
    Feel feel() {
        try {
            return new Feel(
                    needed("deadZone", deadZone),
                    needed("k", k),
                    needed("rampSeconds", rampSeconds),
                    needed("pan", pan),
                    needed("tilt", tilt),
                    needed("zoom", zoom),
                    needed("crossingSeconds", crossingSeconds));
        } catch (Feel.Impossible e) {
            throw bad(e.field(), e.getMessage());
        }
    }

    private static double needed(String field, Double value) {
        if (value == null) {
            throw bad(field, "is missing");
        }
        return value;
    }

    private static Problem bad(String field, String why) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                field + " " + why + ".",
                Map.of("field", field));
    }
}
