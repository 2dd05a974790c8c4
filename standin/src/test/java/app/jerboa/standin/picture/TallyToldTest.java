package app.jerboa.standin.picture;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.knob.HttpAnswer;
import app.jerboa.core.knob.TallyTold;
import app.jerboa.standin.device.AnswerText;
import app.jerboa.standin.device.Gate;
import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.link.switcher.ProgrammeQuestion;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.panel.LineFramer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a switcher says as its profile has it, read as the profile says it is read. */
class TallyToldTest {
    private static TallyTold told(String line, String pointer, String pattern, int moreBy) {
        return new TallyTold(
                Optional.empty(), line, new HttpAnswer(pointer, pattern), OptionalInt.of(moreBy));
    }

    private static OptionalInt read(TallyTold told, String answer) {
        AnswerShape shape = AnswerShape.of(told.found().pointer(), told.found().pattern());
        return new ProgrammeQuestion(told.line(), shape, told.moreBy().orElse(0)).programme(answer);
    }

    @ParameterizedTest
    @CsvSource({
        "/programme, '', 0",
        "/outputs/1/source, '', -1",
        "'', 'PGM ([0-9]+)', 0",
        "'', 'programme input=([0-9]+);', -1",
        "'', 'on\\s+air: \\[([0-9]+)\\]', 7"
    })
    void isReadBack(String pointer, String pattern, int moreBy) {
        TallyTold told = told("?", pointer, pattern, moreBy);
        for (int input = 1; input < 40; input++) {
            assertThat(read(told, AnswerText.of(told, input))).hasValue(input);
        }
    }

    @Test
    void aSwitcherWithALineOfItsOwnTellsItWhenAskedAndWithEachCut() {
        TallyTold told = told("PGM?", "", "PGM ([0-9]+)", 0);
        Switcher switcher =
                new Switcher(
                        () ->
                                Map.of(
                                        1, new Switcher.Input("", "", false),
                                        2, new Switcher.Input("", "", false)));
        SwitcherEar ear = new SwitcherEar(switcher, Optional.of(told), Gate.open(Optional.empty()));
        List<String> said = new ArrayList<>();
        LineFramer framer = new LineFramer();
        ear.open(octets -> said.addAll(framer.accept(octets)));
        ear.hear(Octets.of("PGM?\n".getBytes(StandardCharsets.UTF_8)), o -> {});
        switcher.programme(2);
        assertThat(said).containsExactly("PGM 1", "PGM 2");
    }
}
