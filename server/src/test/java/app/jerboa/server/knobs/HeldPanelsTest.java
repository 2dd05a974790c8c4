package app.jerboa.server.knobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;

/** Who was held a moment ago is not asked for its one place again, for a minute. */
class HeldPanelsTest {
    private Instant now = Instant.EPOCH;
    private final HeldPanels held = new HeldPanels(() -> now);

    @Test
    void aMinuteLaterItIsTriedAgain() {
        assertThat(held.held(1, 8)).isFalse();
        held.note(1, 8);
        now = now.plusSeconds(59);
        assertThat(held.held(1, 8)).isTrue();
        assertThat(held.held(1, 9)).as("another camera").isFalse();
        assertThat(held.held(2, 8)).as("another job").isFalse();
        now = now.plusSeconds(1);
        assertThat(held.held(1, 8)).isFalse();
    }
}
