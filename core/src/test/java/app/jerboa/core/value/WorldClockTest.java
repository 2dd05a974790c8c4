package app.jerboa.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;

class WorldClockTest {
    @Test
    void runsAsFastAsItIsSetAndNeverJumps() {
        Instant start = Instant.parse("2030-01-01T10:00:00Z");
        WorldClock fast = WorldClock.wall().withSpeed(20, start);
        assertThat(fast.at(start)).isEqualTo(start);
        assertThat(fast.at(start.plusSeconds(3))).isEqualTo(start.plusSeconds(60));
        WorldClock slowAgain = fast.withSpeed(1, start.plusSeconds(3));
        assertThat(slowAgain.at(start.plusSeconds(3))).isEqualTo(start.plusSeconds(60));
        assertThat(slowAgain.at(start.plusSeconds(4))).isEqualTo(start.plusSeconds(61));
    }
}
