package app.jerboa.server.desk;

import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.profile.Head;
import app.jerboa.core.value.Kebab;
import app.jerboa.server.words.Words;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Begins steady moves, or says in words why one cannot be. */
final class SteadyMoves {
    private SteadyMoves() {}

    /** Where to, and in what time. */
    record Wish(long number, double pan, double tilt, double seconds) {}

    /**
     * @return why it did not begin; empty when it did
     */
    static Optional<String> begin(
            CameraLink camera,
            StickHand hand,
            Optional<Pointing> from,
            SoftLimits limits,
            Wish wish,
            long now) {
        if (from.isEmpty()) {
            return said("not-told", camera, 0);
        }
        Head head = camera.head();
        boolean reached =
                wish.pan() >= head.panLeftDegrees()
                        && wish.pan() <= head.panRightDegrees()
                        && wish.tilt() >= head.tiltDownDegrees()
                        && wish.tilt() <= head.tiltUpDegrees();
        if (!reached) {
            return said("out-of-reach", camera, 0);
        }
        if (!limits.holds(wish.pan(), wish.tilt())) {
            return said("beyond-limit", camera, 0);
        }
        return hand.go(wish, from.get(), now)
                .flatMap(r -> said(Kebab.of(r.why()), camera, r.seconds()));
    }

    private static Optional<String> said(String why, CameraLink camera, double seconds) {
        String time = String.format(Locale.ROOT, "%.1f", seconds);
        return Optional.of(
                Words.say("steady." + why, Map.of("camera", camera.name(), "seconds", time)));
    }
}
