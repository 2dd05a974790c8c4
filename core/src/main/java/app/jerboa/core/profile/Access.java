package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.OptionalInt;

/**
 * What talks to a device, and what it wants first.
 *
 * @param remoteAt where remote control is enabled; empty when it always is
 */
public record Access(
        @Fact("Factory user") String user,
        @Fact("Factory password") PasswordRule password,
        @Fact("Refuses control until the first login is done") boolean firstLogin,
        @Fact("Asks for date, time and zone at the first login") boolean asksClock,
        @Fact("Remote control is enabled at") String remoteAt,
        @Fact("Typed at the device with") Letters letters,
        @Fact(value = "Longest password", least = 4, most = 128) OptionalInt longestPassword) {}
