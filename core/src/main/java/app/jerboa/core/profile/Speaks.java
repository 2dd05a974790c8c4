package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;
import java.util.OptionalInt;

/**
 * One protocol a device controls or is controlled by.
 *
 * @param port of UDP and TCP, else empty
 * @param sends it controls others by it; else it is controlled
 * @param carries what can be done over it
 */
public record Speaks(
        @Fact("Protocol") Protocol protocol,
        @Fact("Over") Transport over,
        @Fact(value = "Port", least = 1, most = 65535) OptionalInt port,
        @Fact("Sends") boolean sends,
        @Fact("Needs user and password") boolean secured,
        @Fact("Two-way") boolean twoWay,
        @Fact("Carries") List<RemoteFunction> carries) {}
