package app.jerboa.core.preset;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.profile.PresetPart;
import app.jerboa.core.profile.Profile;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Whether one part of a view comes back with a preset.
 *
 * @param how it does, or why not
 * @param remedy what makes an automatic part storable; empty for others
 */
public record PresetHolds(PresetPart part, How how, Optional<Remedy> remedy) {
    /** Does it come back? */
    public enum How {
        STORED,
        /** The camera stores no such thing. */
        NOT_KEPT,
        /** An automatic set it: what comes back is whatever the automatic finds then. */
        AUTOMATIC
    }

    /** A knob to set, and to what, before it is stored again. */
    public record Remedy(String knob, String to) {}

    private static final Map<PresetPart, List<String>> KNOBS =
            Map.of(
                    PresetPart.FOCUS, List.of("focus"),
                    PresetPart.IRIS, List.of("iris"),
                    PresetPart.GAIN, List.of("gain"),
                    PresetPart.WHITE_BALANCE, List.of("red gain", "blue gain"));

    /** The knobs that tell how a part stands; none for position and zoom, which are asked. */
    public static List<String> knobsOf(PresetPart part) {
        return KNOBS.getOrDefault(part, List.of());
    }

    /**
     * Every part, in order.
     *
     * @param read what knobs stood at when it was stored; one that is not there is not known
     */
    public static List<PresetHolds> of(Profile profile, Map<String, Integer> read) {
        return Arrays.stream(PresetPart.values()).map(p -> of(profile, p, read)).toList();
    }

    private static PresetHolds of(Profile profile, PresetPart part, Map<String, Integer> read) {
        boolean kept = profile.presets().filter(p -> p.store().contains(part)).isPresent();
        if (!kept) {
            return new PresetHolds(part, How.NOT_KEPT, Optional.empty());
        }
        Optional<Remedy> remedy =
                knobsOf(part).stream()
                        .flatMap(name -> knob(profile, name).stream())
                        .flatMap(k -> k.only().stream())
                        .filter(o -> off(profile, o, read))
                        .findFirst()
                        .map(o -> new Remedy(o.knob(), o.in().get(0)));
        return new PresetHolds(part, remedy.isPresent() ? How.AUTOMATIC : How.STORED, remedy);
    }

    private static boolean off(Profile profile, OnlyWhen only, Map<String, Integer> read) {
        return knob(profile, only.knob())
                .filter(k -> read.containsKey(k.name()))
                .filter(k -> !only.in().contains(k.valueWords(read.get(k.name()))))
                .isPresent();
    }

    private static Optional<Knob> knob(Profile profile, String name) {
        return profile.knobs().stream().filter(k -> k.name().equals(name)).findFirst();
    }
}
