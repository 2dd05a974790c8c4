package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;

/** Sockets of one sort. */
public record Port(
        @Fact(value = "Name", shortest = 1) String name,
        @Fact("Socket") Join join,
        @Fact(value = "How many", least = 1, most = 96) int count,
        @Fact("Use") PortUse use) {}
