package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.OptionalInt;

/** The numbers a device can answer to. */
public record Ids(
        @Fact(value = "Lowest ID", most = 255) int lowest,
        @Fact(value = "Highest ID", most = 255) int highest,
        @Fact(value = "Factory ID", most = 255) int factory,
        @Fact("ID is set by") IdPlace setBy,
        @Fact(value = "Remote IDs", most = 16) OptionalInt remoteIds) {}
