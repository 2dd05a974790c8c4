package app.jerboa.core.profile;

import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.value.Fact;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * One more axis of a head: roll in degrees, clockwise as the camera sees; a rail in metres from its
 * start. It can be driven where the profile states how.
 *
 * @param steps speeds each way
 * @param drive VISCA frame with a place for the speed: {@code steps} plus the signed step, so that
 *     {@code steps} itself stands
 * @param ask VISCA frame that asks where it is
 * @param answer with a place for the counts, the middle of the place's range being 0
 */
public record Axis(
        @Fact(value = "From", least = -360, most = 0) double from,
        @Fact(value = "To", most = 360) double to,
        @Fact(value = "Slowest", unit = "a second", least = 0.001, most = 100) double slowest,
        @Fact(value = "Fastest", unit = "a second", least = 0.001, most = 400) double fastest,
        @Fact(value = "Speeds each way", least = 1, most = 127) OptionalInt steps,
        @Fact(value = "Frame that drives it", longest = 60) String drive,
        @Fact(value = "Frame that asks where it is", longest = 60) String ask,
        @Fact(value = "Its answer", longest = 60) String answer,
        @Fact(value = "Counts per unit", least = 0.1, most = 10000) OptionalDouble countsPerUnit) {

    /** What its steps mean; empty for one that is not driven from here. */
    public Optional<SpeedScale> speeds() {
        return drive.isEmpty() || steps.isEmpty()
                ? Optional.empty()
                : Optional.of(new SpeedScale(slowest, fastest, steps.getAsInt()));
    }
}
