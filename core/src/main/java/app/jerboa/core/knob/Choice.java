package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;

/**
 * A named value of a knob.
 *
 * @param word as a request or an answer in text says it; empty where the number is said
 */
public record Choice(
        @Fact(value = "Called", shortest = 1, longest = 40) String name,
        @Fact(value = "Value", least = -32768, most = 65535) int value,
        @Fact(value = "Said as", longest = 40) String word) {}
