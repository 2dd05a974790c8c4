package app.jerboa.core.video;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PictureRulesTest {
    @ParameterizedTest
    @CsvSource({
        // w x h x pictures x 16 bit, by hand.
        "1080p50, 1920, 1080, 50, 1658.88",
        "1080i50, 1920, 1080, 25, 829.44",
        "720p50, 1280, 720, 50, 737.28",
        "2160p25, 3840, 2160, 25, 3317.76"
    })
    void sizesAndUncompressedRates(String format, int width, int height, double fps, double mbits) {
        PictureSize size = PictureSize.of(format);
        assertThat(size).isEqualTo(new PictureSize(width, height, fps));
        assertThat(UsbRate.megabits(size)).isEqualTo(mbits, within(1e-9));
    }

    @Test
    void refusesWhatIsNoFormat() {
        assertThatThrownBy(() -> PictureSize.of("50p1080")).hasMessageContaining("1080p50");
    }

    @ParameterizedTest
    @CsvSource({"1.485, 15", "2.97, 15", "5.94, 8", "11.88, 5"})
    void passiveHdmiGetsShorterAsPicturesGrow(double gigabits, double metres) {
        assertThat(LeadReach.hdmi(gigabits)).isEqualTo(metres);
    }
}
