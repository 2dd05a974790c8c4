package app.jerboa.core.prove;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.video.PictureSize;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JudgementsTest {
    /** Before, after, asked: well, backwards. */
    @ParameterizedTest
    @CsvSource({
        "0, 40, 40, true, false",
        "0, 20, 40, true, false",
        "0, 19, 40, false, false",
        "100, 60, -40, true, false",
        "0, -20, 40, false, true",
        "0, 5, 6, true, false",
        "0, 4, 6, false, false",
        "0, -4, 6, false, false",
        "0, 90, 40, true, false",
        "7, 7, 40, false, false",
        "0, 0, 0, false, false"
    })
    void aMoveIsRightByItsWayAndItsSize(
            int before, int after, int asked, boolean well, boolean backwards) {
        Moved moved = Moved.between(before, after, asked);
        assertThat(moved.well()).isEqualTo(well);
        assertThat(moved.backwards()).isEqualTo(backwards);
    }

    /** Speed, slowing, delay: milliseconds. */
    @ParameterizedTest
    @CsvSource({
        "0, 100, 10, 500",
        "30, 100, 20, 520",
        "60, 60, 50, 1250",
        "60, , 50, 500",
        "60, , 400, 600"
    })
    void aStopHasItsTime(double speed, Double slowing, int delay, int allowed) {
        OptionalDouble a = slowing == null ? OptionalDouble.empty() : OptionalDouble.of(slowing);
        assertThat(Standstill.allowedMillis(speed, a, delay)).isEqualTo(allowed);
    }

    @ParameterizedTest
    @CsvSource({"10, 10, true", "10, 11, true", "10, 9, true", "10, 12, false"})
    void twoReadingsAgreeWithinACount(int before, int after, boolean agree) {
        assertThat(Standstill.agree(before, after)).isEqualTo(agree);
    }

    /** Angle of view, degrees, step of 1 to 60 degrees a second in 24 steps. */
    @ParameterizedTest
    @CsvSource({"60, 3, 8", "30, 3, 8", "10, 1, 1", "2, 0.2, 1"})
    void aTestMoveIsSmallAndSlow(double view, double degrees, int step) {
        assertThat(TestStep.degrees(view)).isEqualTo(degrees);
        assertThat(TestStep.step(new SpeedScale(1, 60, 24), degrees)).isEqualTo(step);
    }

    @ParameterizedTest
    @CsvSource({"0, 1", "169, -1", "-169, 1", "-1, 1", "1, -1"})
    void itGoesAwayFromTheNearerEnd(double at, int way) {
        assertThat(TestStep.way(at, -170, 170)).isEqualTo(way);
    }

    /** Codec, size and rate as told (- for not told): what is other than 1080p50 in H.264. */
    @ParameterizedTest
    @CsvSource({
        "h264, 1920, 50, ''",
        "h265, 1920, 50, codec",
        "h264, 1280, 50, size",
        "h264, 1920, 25, rate",
        "h265, 1280, 49.97, codec size",
        "-, 0, -1, ''"
    })
    void aStreamDiffersByWhatItTellsOnly(String codec, int width, double rate, String other) {
        StreamTold told =
                new StreamTold(
                        codec.equals("-") ? Optional.empty() : Optional.of(codec),
                        width == 0
                                ? Optional.empty()
                                : Optional.of(new StreamTold.Pixels(width, width * 9 / 16)),
                        rate < 0 ? OptionalDouble.empty() : OptionalDouble.of(rate));
        assertThat(
                        String.join(
                                " ",
                                told.otherThan(
                                        List.of("h264"), Optional.of(PictureSize.of("1080p50")))))
                .isEqualTo(other);
        assertThat(told.otherThan(List.of(), Optional.empty())).isEmpty();
    }
}
