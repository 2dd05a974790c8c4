package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/** A position of the format dial and what it sets. */
public record DialPosition(
        @Fact(value = "Dial", shortest = 1) String position,
        @Fact(value = "Format", shortest = 1) String format) {}
