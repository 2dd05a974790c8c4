package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;

/** Versions, as dotted numbers. */
public record Firmware(
        @Fact(value = "Ships with firmware", shortest = 1, longest = 20) String shipped,
        @Fact("Controllers need") List<FirmwareFloor> floors,
        @Fact("An update puts the factory address back") boolean updateResets) {}
