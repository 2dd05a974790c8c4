package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.preset.PresetHolds;
import app.jerboa.core.profile.PresetPart;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobHands;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;

/** Asks a camera what the knobs of a view stand at. */
@Component
class KnobReading {
    private final KnobHands hands;

    KnobReading(KnobHands hands) {
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
                            .flatMap(p -> PresetHolds.knobsOf(p).stream())
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
}
