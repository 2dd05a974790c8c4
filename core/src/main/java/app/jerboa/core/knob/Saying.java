package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a knob is turned and asked, or a verb told, in one language. In octets an {@code x} is the
 * camera's number, {@code p} a nibble of the value, {@code a} one of a bus address and {@code s}
 * one of the sum: {@code 8x 01 04 4B 00 00 0p 0p FF}.
 *
 * @param message a standard message by its name, for example {@code red-gain}; it is asked and
 *     answered by its own inquiry
 * @param frame the octets where there is no standard message
 * @param ask the octets of the question; empty when it cannot be asked
 * @param answer the shape of its answer, for example {@code y0 50 0p 0p FF}
 * @param request over HTTP
 * @param reading the request that asks; its answer is read by {@code found}
 * @param key of the panel link
 * @param moreBy added to the knob's value before it goes out, and taken off what comes back
 */
public record Saying(
        @Fact("In") Tongue in,
        @Fact(value = "Standard message", longest = 40) String message,
        @Fact(value = "Octets", longest = 96) String frame,
        @Fact(value = "Octets that ask", longest = 96) String ask,
        @Fact(value = "Octets of the answer", longest = 96) String answer,
        @Fact("Request") Optional<HttpCall> request,
        @Fact("Request that asks") Optional<HttpCall> reading,
        @Fact("The value in its answer") Optional<HttpAnswer> found,
        @Fact(value = "Key", longest = 40) String key,
        @Fact(value = "Value sent is more by", least = -65535, most = 65535) OptionalInt moreBy) {

    /** Added to a value before it goes out; 0 for as it is. */
    public int offset() {
        return moreBy.orElse(0);
    }
}
