package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import java.util.List;
import java.util.stream.DoubleStream;

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
 * @param curve share of full speed at deflections 0, 0.05 ... 1, before the limits
 */
record FeelBody(
        String profile,
        boolean own,
        double deadZone,
        double k,
        double rampSeconds,
        double pan,
        double tilt,
        double zoom,
        double crossingSeconds,
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
}
