package app.jerboa.core.profile;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a controller calls a view: protocols count from 0, keys from 0 or 1, in banks or not.
 *
 * @param bank from 1; empty for one run of numbers
 * @param key as it is written on it
 */
public record PresetCall(OptionalInt bank, int key) {
    /**
     * @param controller how it calls views
     * @param number as the camera keeps it, from 0
     * @return empty for a number beyond its last
     */
    public static Optional<PresetCall> of(Presets controller, int number) {
        if (number < 0 || number >= controller.count()) {
            return Optional.empty();
        }
        if (controller.bankOf().isEmpty()) {
            return Optional.of(
                    new PresetCall(OptionalInt.empty(), number + controller.countsFrom()));
        }
        int size = controller.bankOf().getAsInt();
        return Optional.of(
                new PresetCall(
                        OptionalInt.of(1 + number / size),
                        number % size + controller.countsFrom()));
    }

    /** {@code 3}, or {@code 2-3} for the key 3 of the bank 2. */
    @Override
    public String toString() {
        return bank.isPresent() ? bank.getAsInt() + "-" + key : Integer.toString(key);
    }
}
