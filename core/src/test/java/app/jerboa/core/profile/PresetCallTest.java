package app.jerboa.core.profile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PresetCallTest {
    private static Presets controller(int count, int first, int bankOf) {
        return new Presets(
                count,
                PresetHome.CAMERA,
                List.of(),
                List.of(),
                OptionalInt.of(first),
                bankOf == 0 ? OptionalInt.empty() : OptionalInt.of(bankOf),
                OptionalInt.empty());
    }

    @ParameterizedTest
    @CsvSource({
        "100, 0, 0, 0, 0",
        "100, 1, 0, 0, 1",
        "100, 1, 0, 99, 100",
        "100, 1, 0, 100, ''",
        "16, 1, 8, 0, 1-1",
        "16, 1, 8, 7, 1-8",
        "16, 1, 8, 8, 2-1",
        "16, 1, 8, 15, 2-8",
        "16, 1, 8, 16, ''",
        "40, 0, 10, 23, 3-3",
        "40, 0, 10, -1, ''"
    })
    void aViewHasTheNameThatItsControllerGivesIt(
            int count, int first, int bankOf, int number, String called) {
        assertThat(
                        PresetCall.of(controller(count, first, bankOf), number)
                                .map(PresetCall::toString)
                                .orElse(""))
                .isEqualTo(called);
    }

    /** Whatever it counts by: as many names as views, no two alike. */
    @Test
    void noTwoViewsHaveOneName() {
        for (int first = 0; first < 2; first++) {
            for (int bankOf = 0; bankOf < 12; bankOf += bankOf == 0 ? 2 : 1) {
                Set<String> names = new HashSet<>();
                for (int n = 0; n < 100; n++) {
                    PresetCall.of(controller(100, first, bankOf), n)
                            .ifPresent(c -> names.add(c.toString()));
                }
                assertThat(names).hasSize(100);
            }
        }
    }
}
