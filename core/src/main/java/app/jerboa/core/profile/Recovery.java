package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/** The way back in. */
public record Recovery(
        @Fact(value = "Reset", shortest = 1, longest = 200) String reset,
        @Fact(value = "Reset of the network alone", longest = 200) String networkReset,
        @Fact(value = "Lost password", longest = 200) String lostPassword) {}
