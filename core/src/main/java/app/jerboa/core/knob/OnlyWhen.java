package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;
import java.util.List;

/**
 * Another knob must stand so, else this one is refused: an automatic that must be off, a recording
 * mode in which it works.
 *
 * @param in names of that knob's choices
 */
public record OnlyWhen(
        @Fact(value = "Knob", shortest = 1, longest = 40) String knob,
        @Fact(value = "Stands at", shortest = 1, longest = 40) List<String> in) {}
