package app.jerboa.core.preset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.job.Preset;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RowTimeTest {
    /** 60 degrees a second on both axes, gathered at the usual 90; the zoom crosses in a 60th. */
    private static final Head HEAD =
            SomeProfiles.of("head", "Head", Sort.CINEMA_HEAD)
                    .head(OptionalDouble.of(2), OptionalDouble.of(1), 0.5)
                    .profile()
                    .head()
                    .orElseThrow();

    private static Preset at(String place) {
        String[] p = place.split("/", -1);
        return new Preset(
                1,
                new DeviceId(1),
                0,
                "",
                "",
                "",
                new Preset.Kept(
                        OptionalInt.of(100 * Integer.parseInt(p[0])),
                        OptionalInt.of(100 * Integer.parseInt(p[1])),
                        OptionalInt.empty(),
                        "",
                        "",
                        ""));
    }

    /** 4 s for each view; there and back; 90 degrees are 90/60 + 60/90 = 2.167 s. */
    @ParameterizedTest
    @CsvSource({
        "'', 0",
        "0/0, 4",
        "0/0 0/0, 8",
        "0/0 90/0, 12.333",
        "0/0 90/0 90/90, 20.667",
    })
    void eachViewAndTheWaysBetween(String places, double seconds) {
        List<Preset> row =
                places.isEmpty()
                        ? List.of()
                        : Arrays.stream(places.split(" ", -1)).map(RowTimeTest::at).toList();
        assertThat(RowTime.seconds(HEAD, row)).isCloseTo(seconds, within(0.001));
    }
}
