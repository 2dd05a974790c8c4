package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;

/** Stored looks. */
public record Presets(
        @Fact(value = "Presets", least = 1, most = 1000) int count,
        @Fact("Kept in") PresetHome keptIn,
        @Fact("Store") List<PresetPart> store) {}
