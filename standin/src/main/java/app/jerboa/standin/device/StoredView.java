package app.jerboa.standin.device;

import app.jerboa.core.job.Preset;
import app.jerboa.core.preset.PresetHolds;
import app.jerboa.core.preset.PresetKnobs;
import app.jerboa.core.profile.Profile;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a camera keeps under a preset's number.
 *
 * @param pan degrees right of the middle
 * @param zoom 0 to 1
 * @param knobs those that its profile says it stores, as they stood; one that an automatic had set
 *     is left out
 */
public record StoredView(double pan, double tilt, double zoom, Map<String, Integer> knobs) {
    private static final double HUNDREDTHS = 100;

    public StoredView {
        // A hall that was saved before views held knobs.
        knobs = Collections.unmodifiableMap(new TreeMap<>(knobs == null ? Map.of() : knobs));
    }

    static StoredView of(HeadState state, KnobBank bank) {
        return new StoredView(
                state.pan(), state.tilt(), state.zoom(), kept(bank.profile(), bank.all()));
    }

    /** As the plan says that it was stored before. */
    public static StoredView of(Preset noted, Profile profile) {
        Preset.Kept kept = noted.kept();
        return new StoredView(
                kept.pan().orElse(0) / HUNDREDTHS,
                kept.tilt().orElse(0) / HUNDREDTHS,
                Math.min(1, (double) kept.zoom().orElse(0) / ZoomPosition.TELE),
                kept(profile, PresetKnobs.read(kept.knobs())));
    }

    private static Map<String, Integer> kept(Profile profile, Map<String, Integer> standing) {
        Map<String, Integer> kept = new LinkedHashMap<>();
        PresetHolds.of(profile, standing).stream()
                .filter(h -> h.how() == PresetHolds.How.STORED)
                .flatMap(h -> PresetHolds.knobsOf(h.part()).stream())
                .filter(standing::containsKey)
                .forEach(k -> kept.put(k, standing.get(k)));
        return kept;
    }

    HeadState.Aim aim() {
        return new HeadState.Aim(pan, tilt, zoom);
    }
}
