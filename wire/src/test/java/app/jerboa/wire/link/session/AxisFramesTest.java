package app.jerboa.wire.link.session;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.wire.octets.Octets;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Roll and rail by the frames of a profile: speeds signed around the middle, places alike. */
class AxisFramesTest {
    private static AxisFrames frames(int steps) {
        return AxisFrames.of(
                steps, "8x 01 7E 60 0p 0p FF", "8x 09 7E 60 FF", "y0 50 0p 0p 0p 0p FF");
    }

    @ParameterizedTest
    @CsvSource({"24, 0, 01 7E 60 01 08", "24, 24, 01 7E 60 03 00", "24, -24, 01 7E 60 00 00"})
    void theMiddleOfTheSpeedsStands(int steps, int step, String octets) {
        AxisFrames frames = frames(steps);
        assertThat(frames.request(step).body()).isEqualTo(Octets.ofHex(octets));
        assertThat(frames.request(step).stops()).isEqualTo(step == 0);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 10, 24, 127})
    void everyStepComesBackAsItWas(int steps) {
        AxisFrames frames = frames(steps);
        for (int step = -steps; step <= steps; step++) {
            assertThat(frames.step(frames.request(step).body())).hasValue(step);
        }
        assertThat(frames.step(frames(127).request(127).body()))
                .as("faster than it goes")
                .isEqualTo(steps == 127 ? OptionalInt.of(127) : OptionalInt.empty());
    }

    @Test
    void otherFramesAreNotItsOwn() {
        Random random = new Random(11);
        AxisFrames frames = frames(24);
        for (int i = 0; i < 1_000; i++) {
            byte[] octets = new byte[1 + random.nextInt(8)];
            random.nextBytes(octets);
            octets[0] = 0x02;
            assertThat(frames.step(Octets.of(octets))).isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {-32_768, -864, -1, 0, 1, 864, 32_767})
    void aPlaceComesBackAsItWas(int counts) {
        AxisFrames.Asked asked = frames(24).asked().orElseThrow();
        assertThat(asked.read(asked.fill(counts))).hasValue(counts);
        assertThat(asked.read(Octets.ofHex("01 02"))).isEmpty();
    }

    @Test
    void oneThatIsNotAskedTellsNothing() {
        assertThat(AxisFrames.of(8, "8x 01 7E 61 0p FF", "", "").asked()).isEmpty();
    }
}
