package app.jerboa.core.profile;

import app.jerboa.core.value.Fact;
import java.util.List;

/**
 * Remote picture adjustment.
 *
 * @param needs what must be on for it to act, for example a recording mode
 */
public record Paint(
        @Fact("Adjusts") List<PaintControl> controls,
        @Fact("Shows present values") boolean twoWay,
        @Fact("Only with") List<String> needs) {}
