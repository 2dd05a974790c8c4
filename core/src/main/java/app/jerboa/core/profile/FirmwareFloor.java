package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/** What a controller wants at least. */
public record FirmwareFloor(
        @Fact("For a controller of sort") Sort controller,
        @Fact(value = "Firmware at least", shortest = 1, longest = 20) String least) {}
