package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;

/**
 * A request to the device's own web server, with places such as {@code {value}}, {@code
 * {value:+d}}, {@code {value:02x}} and {@code {word}}.
 *
 * @param path from the root, with its query; never another host
 * @param body of a POST, encoded as {@code kind} says
 */
public record HttpCall(
        @Fact("Method") HttpMethod method,
        @Fact(value = "Path", shortest = 1, longest = 300) String path,
        @Fact("Body is") BodyKind kind,
        @Fact(value = "Body", longest = 600, code = true) String body) {}
