package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/**
 * A named frame sent as it is.
 *
 * @param hex octets in pairs with spaces
 */
public record RawFrame(
        @Fact(value = "Frame", shortest = 1) String name,
        @Fact(value = "Octets", shortest = 1, longest = 96) String hex) {}
