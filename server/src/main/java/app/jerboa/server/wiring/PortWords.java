package app.jerboa.server.wiring;

import app.jerboa.core.job.cabling.seen.PortTold;
import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a port tells of its speed and power, in words. */
final class PortWords {
    private static final long MEGABITS = 1000;

    private PortWords() {}

    /** Blank where it tells neither. */
    static String of(PortTold told) {
        return Stream.of(speed(told), power(told))
                .filter(t -> !t.isEmpty())
                .collect(Collectors.joining(", "));
    }

    static String speed(PortTold told) {
        if (told.megabits() == 0) {
            return "";
        }
        return told.megabits() % MEGABITS == 0
                ? Words.say("wiring.gigabits", Map.of("speed", told.megabits() / MEGABITS))
                : Words.say("wiring.megabits", Map.of("speed", told.megabits()));
    }

    private static String power(PortTold told) {
        if (!told.powers()) {
            return "";
        }
        return told.powerClass().isPresent()
                ? Words.say("wiring.power-class", Map.of("class", told.powerClass().getAsInt()))
                : Words.say("wiring.power");
    }
}
