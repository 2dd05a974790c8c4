package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;

/**
 * Stored views.
 *
 * @param reserved numbers that call a function of the device instead
 */
public record Presets(
        @Fact(value = "Presets", least = 1, most = 1000) int count,
        @Fact("Kept in") PresetHome keptIn,
        @Fact("Store") List<PresetPart> store,
        @Fact(value = "Numbers with a function of their own", most = 1000) List<Integer> reserved) {
    /** A view can be kept under this number, from 0. */
    public boolean holds(int number) {
        return number >= 0 && number < count && !reserved.contains(number);
    }
}
