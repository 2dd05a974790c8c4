package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.core.profile.Presets;
import app.jerboa.core.profile.Profile;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.DoubleStream;

/**
 * How a person likes one kind of camera to answer the stick.
 *
 * @param profile of the cameras
 * @param own false while the person has set nothing
 * @param deadZone share of the travel, 0 to 0.5
 * @param k bend of the law, 0 (linear) to 10
 * @param rampSeconds to full speed, 0 to 3
 * @param pan share of its full speed, 0.05 to 1; tilt, zoom, focus and recall (the way to a stored
 *     view) alike
 * @param recallSteps that this kind of camera has for its way to a stored view; empty where it
 *     cannot be told
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
        double focus,
        double recall,
        Optional<Integer> recallSteps,
        double crossingSeconds,
        List<Double> curve) {
    private static final double CURVE_STEP = 0.05;

    static FeelBody of(Profile profile, boolean own, Feel f) {
        OptionalInt steps = profile.presets().map(Presets::speeds).orElse(OptionalInt.empty());
        return new FeelBody(
                profile.id(),
                own,
                f.deadZone(),
                f.k(),
                f.rampSeconds(),
                f.speeds().pan(),
                f.speeds().tilt(),
                f.speeds().zoom(),
                f.speeds().focus(),
                f.speeds().recall(),
                steps.isPresent() ? Optional.of(steps.getAsInt()) : Optional.empty(),
                f.crossingSeconds(),
                DoubleStream.iterate(0, x -> x < 1 + CURVE_STEP / 2, x -> x + CURVE_STEP)
                        .map(f.law()::speed)
                        .boxed()
                        .toList());
    }
}
