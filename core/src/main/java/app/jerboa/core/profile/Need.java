package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/**
 * One thing to fetch, load or charge before the van leaves.
 *
 * @param each once for every device; else once for all of the profile
 */
public record Need(
        @Fact("Kind") NeedKind kind,
        @Fact(value = "What", shortest = 1) String what,
        @Fact("Each device") boolean each) {}
