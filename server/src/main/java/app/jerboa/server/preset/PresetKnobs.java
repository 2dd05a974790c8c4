package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.preset.PresetHolds;
import app.jerboa.core.profile.PresetPart;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobHands;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What the knobs of a view stand at, and how that is kept as one text: {@code iris=12;gain=3}. */
@Component
class PresetKnobs {
    private final KnobHands hands;

    PresetKnobs(KnobHands hands) {
        this.hands = hands;
    }

    /** By name; one that cannot be read now is left out. */
    Map<String, Integer> read(Jobs.Stored stored, Device camera) {
        Map<String, Integer> read = new LinkedHashMap<>();
        for (Knob knob : wanted(camera.profile())) {
            try {
                read.put(knob.name(), hands.ask(stored, camera, knob));
            } catch (KnobHands.NotTurned unread) {
                // What is not known is kept as not known.
                read.remove(knob.name());
            }
        }
        return read;
    }

    /** Those of the parts that it stores, and those that say whether an automatic sets them. */
    private static List<Knob> wanted(Profile profile) {
        Set<String> names = new TreeSet<>();
        List<PresetPart> store = profile.presets().map(p -> p.store()).orElse(List.of());
        for (Knob knob : profile.knobs()) {
            boolean part =
                    store.stream()
                            .flatMap(p -> PresetHolds.knobOf(p).stream())
                            .anyMatch(knob.name()::equals);
            if (part) {
                names.add(knob.name());
                knob.only().stream().map(OnlyWhen::knob).forEach(names::add);
            }
        }
        return profile.knobs().stream()
                .filter(Knob::readable)
                .filter(k -> names.contains(k.name()))
                .toList();
    }

    static String text(Map<String, Integer> read) {
        return read.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue())
                .collect(Collectors.joining(";"));
    }

    /** What is no value of a knob is left out: a file may hold anything. */
    static Map<String, Integer> read(String text) {
        Map<String, Integer> read = new LinkedHashMap<>();
        Arrays.stream(text.split(";"))
                .map(pair -> pair.split("=", 2))
                .filter(pair -> pair.length == 2 && pair[1].matches("-?\\d{1,6}"))
                .forEach(pair -> read.put(pair[0], Integer.valueOf(pair[1])));
        return read;
    }
}
