package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;

/**
 * How a value is found in what the device's web server answers: by a JSON pointer (RFC 6901), or by
 * the first group of a pattern in the syntax of a linear-time engine.
 */
public record HttpAnswer(
        @Fact(value = "Found at (JSON pointer)", longest = 120) String pointer,
        @Fact(value = "Found by (pattern)", longest = 200, code = true) String pattern) {}
