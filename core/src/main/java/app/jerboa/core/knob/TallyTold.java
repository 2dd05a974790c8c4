package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a switcher says which of its inputs is on programme: asked by a request to its web server, or
 * by a line of text at its own port. It is only asked, never switched.
 *
 * @param reading over HTTP; empty for a line of text
 * @param line that asks, without its end; empty for a request
 * @param found where the number of the input stands in the answer, or in a line that it tells by
 *     itself
 * @param moreBy what it calls the input 1 is so much more; 0 where it counts from 1
 */
public record TallyTold(
        @Fact("Request that asks") Optional<HttpCall> reading,
        @Fact(value = "Line that asks", longest = 200, code = true) String line,
        @Fact("The input in its answer") HttpAnswer found,
        @Fact(value = "Inputs told are more by", least = -100, most = 100) OptionalInt moreBy) {
    /** Over HTTP; else as text. */
    public boolean byRequest() {
        return reading.isPresent();
    }
}
