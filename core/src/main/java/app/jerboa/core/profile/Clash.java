package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/** Two outputs that do not work at the same time. */
public record Clash(
        @Fact(value = "Output", shortest = 1) String one,
        @Fact(value = "Not with", shortest = 1) String other,
        @Fact(value = "When", shortest = 1) String when) {}
