package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What one question to an idle camera says of it. */
class PresenceTest {
    @ParameterizedTest
    @CsvSource({"0, up", "150, up", "151, slow", "1400, slow"})
    void anAnswerIsJudgedByItsTime(int millis, String state) {
        Presence seen = Presence.answered(Instant.EPOCH, millis);
        assertThat(seen.state()).isEqualTo(state);
        assertThat(seen.millis()).hasValue(millis);
        assertThat(seen.why()).isEmpty();
    }

    @Test
    void silenceSaysWhyAndWhatWasNeverAskedSaysNothing() {
        Presence lost = Presence.lost(Instant.EPOCH, "Gone.");
        assertThat(lost.state()).isEqualTo("lost");
        assertThat(lost.why()).isEqualTo("Gone.");
        assertThat(lost.millis()).isEmpty();
        assertThat(Presence.UNKNOWN.at()).isEmpty();
    }
}
