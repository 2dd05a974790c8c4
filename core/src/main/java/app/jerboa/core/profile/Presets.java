package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;
import java.util.OptionalInt;

/**
 * Stored views.
 *
 * @param reserved numbers that call a function of the device instead
 * @param first as its keys or pages call number 0, which a protocol counts from; empty for 0
 * @param bankOf its keys call them in banks of so many; empty for one run of numbers
 * @param speeds steps of the way to a stored view, 1 to so many; empty where it has one speed
 */
public record Presets(
        @Fact(value = "Presets", least = 1, most = 1000) int count,
        @Fact("Kept in") PresetHome keptIn,
        @Fact("Store") List<PresetPart> store,
        @Fact(value = "Numbers with a function of their own", most = 1000) List<Integer> reserved,
        @Fact(value = "First preset is called", most = 1) OptionalInt first,
        @Fact(value = "Presets in a bank", least = 2, most = 100) OptionalInt bankOf,
        @Fact(value = "Speeds of a recall", least = 2, most = 24) OptionalInt speeds) {
    /** As its keys call the number 0. */
    public int countsFrom() {
        return first.orElse(0);
    }

    /** A view can be kept under this number, from 0. */
    public boolean holds(int number) {
        return number >= 0 && number < count && !reserved.contains(number);
    }
}
