package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What a device takes.
 *
 * @param poeClass by IEEE 802.3; empty when it takes no power over Ethernet
 * @param leastVolts of DC at its plug; empty for nominal less 10 %
 */
public record PowerDraw(
        @Fact(value = "PoE class", most = 8) OptionalInt poeClass,
        @Fact(value = "DC", unit = "V", least = 3, most = 60) OptionalDouble volts,
        @Fact(value = "Least DC", unit = "V", least = 3, most = 60) OptionalDouble leastVolts,
        @Fact("Mains") boolean mains,
        @Fact("Runs from a battery") boolean battery,
        @Fact("Takes PoE through a splitter only") boolean splitter,
        @Fact(value = "At rest", unit = "W", most = 500) double idleWatts,
        @Fact(value = "Most", unit = "W", most = 1000) double mostWatts) {}
