package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What a device gives to others.
 *
 * @param poeClass highest class a port gives, by IEEE 802.3
 * @param passive power on the pairs without asking: it can destroy equipment
 */
public record PowerSource(
        @Fact(value = "PoE ports", most = 64) int poePorts,
        @Fact(value = "Class a port", most = 8) OptionalInt poeClass,
        @Fact(value = "PoE budget", unit = "W", most = 2000) double budgetWatts,
        @Fact("Injects without asking") boolean passive,
        @Fact(value = "DC out", unit = "V", least = 3, most = 60) OptionalDouble volts,
        @Fact(value = "DC out at most", unit = "W", most = 500) OptionalDouble outWatts,
        @Fact(value = "Efficiency", least = 0.5, most = 1) OptionalDouble efficiency,
        @Fact(value = "Holds", unit = "Wh", most = 1000) OptionalDouble wattHours,
        @Fact(value = "Powers over its multicore up to", unit = "m", most = 500)
                OptionalInt multicoreMetres) {}
