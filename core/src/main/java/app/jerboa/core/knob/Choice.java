package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;
import java.util.Optional;

/**
 * A named value of a knob.
 *
 * @param word as a request or an answer in text says it; empty where the number is said
 * @param turns axes that the camera turns round itself while it stands so; empty for none
 */
public record Choice(
        @Fact(value = "Called", shortest = 1, longest = 40) String name,
        @Fact(value = "Value", least = -32768, most = 65535) int value,
        @Fact(value = "Said as", longest = 40) String word,
        @Fact("Turns round") Optional<TurnedRound> turns) {}
