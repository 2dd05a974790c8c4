package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A lens as part of a camera, or a profile of its own.
 *
 * @param factor of a teleconverter; empty else
 * @param switches what must be set at the lens for remote use
 */
public record Optics(
        @Fact("Lens") LensFit fit,
        @Fact(value = "Widest", unit = "mm", least = 1, most = 2000) OptionalDouble wideMm,
        @Fact(value = "Longest", unit = "mm", least = 1, most = 2000) OptionalDouble teleMm,
        @Fact("Zooms by motor") boolean servoZoom,
        @Fact("Focuses by motor") boolean servoFocus,
        @Fact("Lengthens when zoomed") boolean lengthens,
        @Fact(value = "Multiplies by", least = 1, most = 4) OptionalDouble factor,
        @Fact("Set at the lens for remote use") List<String> switches) {}
