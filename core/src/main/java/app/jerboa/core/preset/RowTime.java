package app.jerboa.core.preset;

import app.jerboa.core.job.Preset;
import app.jerboa.core.motion.Moves;
import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.profile.Head;
import java.util.List;

/** About how long a program takes to drive a head to each view of a row and have it stored. */
public final class RowTime {
    /** Two axes and a lens that come to stand one after the other, a store, and a reading. */
    private static final double EACH_SECONDS = 4;

    private static final double HUNDREDTHS = 100;
    private static final double TELE = 16_384;

    private RowTime() {}

    /**
     * Seconds, from the first view on and back to it.
     *
     * @param presets those that were read
     */
    public static double seconds(Head head, List<Preset> presets) {
        double all = 0;
        double gathers = head.acceleration().orElse(SoftLimits.USUAL_BRAKING);
        for (int i = 0; i < presets.size(); i++) {
            Preset.Kept from = presets.get(i == 0 ? presets.size() - 1 : i - 1).kept();
            Preset.Kept to = presets.get(i).kept();
            double pan = Math.abs(to.pan().orElse(0) - from.pan().orElse(0)) / HUNDREDTHS;
            double tilt = Math.abs(to.tilt().orElse(0) - from.tilt().orElse(0)) / HUNDREDTHS;
            double zoom = Math.abs(to.zoom().orElse(0) - from.zoom().orElse(0)) / TELE;
            all +=
                    Moves.seconds(pan, head.pan().fastest(), gathers)
                            + Moves.seconds(tilt, head.tilt().fastest(), gathers)
                            + zoom / head.zoom().fastest()
                            + EACH_SECONDS;
        }
        return all;
    }
}
