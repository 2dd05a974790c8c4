package app.jerboa.core.knob;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a profile may say of an axis, and at which place it is told what it may not. */
class AxisFramesCheckTest {
    private final List<String> found = new ArrayList<>();

    @ParameterizedTest
    @CsvSource({
        "0, '', ''",
        "24, 8x 01 7E 60 0p 0p FF, ''",
        "7, 8x 01 7E 60 0p FF, ''",
        "0, 8x 01 7E 60 0p FF, /roll/steps",
        "24, '', /roll/steps",
        "8, 8x 01 7E 60 0p FF, /roll/drive",
        "24, 01 7E 60 0p 0p, /roll/drive",
        "24, 8x 01 7E 6x 0p 0p FF, /roll/drive",
        "24, 8x 01 aa 60 0p 0p FF, /roll/drive",
        "24, 8x 01 7E 60 0p 0p, /roll/drive",
        "24, FF aa 00 09 00 01 ss, '/roll/drive /roll/drive'"
    })
    void speedsAndTheirFrameGoTogether(int steps, String drive, String places) {
        OptionalInt each = steps == 0 ? OptionalInt.empty() : OptionalInt.of(steps);
        AxisFramesCheck.driven(each, drive, "/roll", (at, reason) -> found.add(at));
        assertThat(String.join(" ", found)).isEqualTo(places);
    }

    @ParameterizedTest
    @CsvSource({
        "'', '', false, ''",
        "8x 09 7E 60 FF, y0 50 0p 0p 0p 0p FF, true, ''",
        "8x 09 7E 60 FF, '', true, '/roll/answer /roll/answer'",
        "'', y0 50 0p FF, false, /roll/answer",
        "8x 09 7E 60 FF, y0 50 0p 0p FF, false, /roll/countsPerUnit",
        "'', '', true, /roll/countsPerUnit",
        "8x 09 7E 60, y0 50 0p FF, true, /roll/ask",
        "8x 09 7E 60 FF, y0 50 01 FF, true, /roll/answer",
        "8x 09 7E 60 FF, 90 50 0p FF, true, /roll/answer"
    })
    void askingGoesWithItsAnswer(String ask, String answer, boolean counted, String places) {
        AxisFramesCheck.asked(ask, answer, counted, "/roll", (at, reason) -> found.add(at));
        assertThat(String.join(" ", found)).isEqualTo(places);
    }
}
