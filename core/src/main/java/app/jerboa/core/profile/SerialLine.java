package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * A serial port's settings as they come from the factory.
 *
 * @param unitLoads of an RS-485 receiver; 32 to a bus by the standard
 * @param plus what the maker calls the + wire, with its colour
 */
public record SerialLine(
        @Fact(value = "Baud rates", least = 300, most = 1000000) List<Integer> bauds,
        @Fact(value = "Factory baud", least = 300, most = 1000000) int baud,
        @Fact(value = "Data bits", least = 7, most = 8) int dataBits,
        @Fact("Parity") Parity parity,
        @Fact(value = "Stop bits", least = 1, most = 2) int stopBits,
        @Fact(value = "Unit loads", least = 0.125, most = 4) OptionalDouble unitLoads,
        @Fact("The + wire") String plus,
        @Fact("The - wire") String minus,
        @Fact("Terminator can be switched on") boolean terminator,
        @Fact(value = "Longest chain", least = 1, most = 255) OptionalInt longestChain) {}
