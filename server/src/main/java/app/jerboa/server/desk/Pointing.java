package app.jerboa.server.desk;

import app.jerboa.core.motion.MotionAxis;
import app.jerboa.wire.visca.PanTilt;
import java.util.EnumMap;
import java.util.Map;

/**
 * Where a camera says that it points.
 *
 * @param at in its own counts
 * @param pan degrees right of the middle; {@code tilt} up
 * @param viewDegrees its horizontal angle of view
 * @param axes where it is beside pan and tilt
 */
record Pointing(PanTilt at, double pan, double tilt, double viewDegrees, AxisReading axes) {
    Pointing(PanTilt at, double pan, double tilt, double viewDegrees) {
        this(at, pan, tilt, viewDegrees, AxisReading.NONE);
    }

    /** By axis, as far as it says so. */
    Map<MotionAxis, Double> places() {
        Map<MotionAxis, Double> all = new EnumMap<>(MotionAxis.class);
        all.put(MotionAxis.PAN, pan);
        all.put(MotionAxis.TILT, tilt);
        axes.roll().ifPresent(r -> all.put(MotionAxis.ROLL, r));
        axes.rail().ifPresent(r -> all.put(MotionAxis.RAIL, r));
        return all;
    }
}
