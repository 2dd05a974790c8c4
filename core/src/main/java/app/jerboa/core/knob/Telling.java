package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a verb is told in one language: a {@link Saying} without a value and without an answer.
 *
 * @param message a standard message by its name
 * @param frame the octets where there is no standard message
 * @param request over HTTP
 * @param key of the panel link
 */
public record Telling(
        @Fact("In") Tongue in,
        @Fact(value = "Standard message", longest = 40) String message,
        @Fact(value = "Octets", longest = 96) String frame,
        @Fact("Request") Optional<HttpCall> request,
        @Fact(value = "Key", longest = 40) String key) {
    public Saying saying() {
        return new Saying(
                in,
                message,
                frame,
                "",
                "",
                request,
                Optional.empty(),
                Optional.empty(),
                key,
                OptionalInt.empty());
    }
}
