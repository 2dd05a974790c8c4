package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;
import java.util.List;

/** Something that a device can be told to do, without a value. */
public record Verb(
        @Fact(value = "Verb", shortest = 1, longest = 40) String name,
        @Fact("Does") Does does,
        @Fact("Works only while") List<OnlyWhen> only,
        @Fact("How it is said") List<Telling> said) {
    public List<Saying> sayings() {
        return said.stream().map(Telling::saying).toList();
    }
}
