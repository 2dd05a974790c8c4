package app.jerboa.server.preset;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.preset.PresetHolds;
import app.jerboa.core.preset.PresetKnobs;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.profile.TestProfiles;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** By the profiles that ship. */
class PresetHoldsTest {
    /** Exposure 0 is auto, 3 manual, 11 iris priority; white balance 0 auto; focus mode 2 auto. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "none",
            value = {
                "ceiling-ptz||position, zoom, focus, iris, gain, white-balance",
                "ceiling-ptz|focus mode=3;exposure=3;white balance=5|position, zoom, focus, iris, gain, white-balance",
                "ceiling-ptz|focus mode=2|position, zoom, focus:focus mode:manual, iris, gain, white-balance",
                "ceiling-ptz|exposure=0|position, zoom, focus, iris:exposure:manual, gain:exposure:manual, white-balance",
                "ceiling-ptz|exposure=11|position, zoom, focus, iris, gain:exposure:manual, white-balance",
                "ceiling-ptz|white balance=0|position, zoom, focus, iris, gain, white-balance:white balance:manual",
                "dome-rs485||position, zoom, focus:not-kept, iris:not-kept, gain:not-kept, white-balance:not-kept",
            })
    void tellsWhatComesBackAndWhatWouldMakeItSo(String profile, String read, String holds) {
        Profile camera = TestProfiles.profiles().find(profile).orElseThrow();
        String words =
                PresetHolds.of(camera, PresetKnobs.read(read == null ? "" : read)).stream()
                        .map(PresetHoldsTest::words)
                        .collect(Collectors.joining(", "));
        assertThat(words).isEqualTo(holds);
    }

    private static String words(PresetHolds h) {
        return switch (h.how()) {
            case STORED -> h.part().toString();
            case NOT_KEPT -> h.part() + ":not-kept";
            case AUTOMATIC ->
                    h.part() + ":" + h.remedy().get().knob() + ":" + h.remedy().get().to();
        };
    }
}
