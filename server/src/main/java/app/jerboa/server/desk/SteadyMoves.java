package app.jerboa.server.desk;

import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.value.Kebab;
import app.jerboa.server.words.Words;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Begins steady moves, or says in words why one cannot be. */
final class SteadyMoves {
    private SteadyMoves() {}

    /**
     * Where to, and in what time.
     *
     * @param to pan and tilt, and what else is to go
     */
    record Wish(long number, Map<MotionAxis, Double> to, double seconds) {
        Wish {
            to = Map.copyOf(to);
        }

        /** Of pan and tilt alone. */
        static Wish panTilt(long number, double pan, double tilt, double seconds) {
            return new Wish(number, Map.of(MotionAxis.PAN, pan, MotionAxis.TILT, tilt), seconds);
        }
    }

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
        if (from.isEmpty() || !from.get().places().keySet().containsAll(wish.to().keySet())) {
            return said("not-told", camera, 0);
        }
        boolean reached =
                wish.to().entrySet().stream()
                        .allMatch(e -> HeadAxes.reaches(camera.head(), e.getKey(), e.getValue()));
        if (!reached) {
            return said("out-of-reach", camera, 0);
        }
        if (!limits.holds(wish.to())) {
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
