package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/** One more axis of a head: roll in degrees, a rail in metres. */
public record Axis(
        @Fact(value = "From", least = -360, most = 0) double from,
        @Fact(value = "To", most = 360) double to,
        @Fact(value = "Slowest", unit = "a second", least = 0.001, most = 100) double slowest,
        @Fact(value = "Fastest", unit = "a second", least = 0.001, most = 400) double fastest) {}
