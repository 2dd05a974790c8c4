package app.jerboa.core.knob;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What of knobs and verbs does not fit together, and where it is said. */
class KnobCheckTest {
    private static Saying frame(String octets, String ask, String answer, int moreBy) {
        return new Saying(
                Tongue.VISCA,
                "",
                octets,
                ask,
                answer,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                "",
                OptionalInt.of(moreBy));
    }

    private static Saying request(String path, String body) {
        HttpCall call =
                new HttpCall(
                        body.isEmpty() ? HttpMethod.GET : HttpMethod.POST,
                        path,
                        body.isEmpty() ? BodyKind.NONE : BodyKind.JSON,
                        body);
        return new Saying(
                Tongue.HTTP,
                "",
                "",
                "",
                "",
                Optional.of(call),
                Optional.empty(),
                Optional.empty(),
                "",
                OptionalInt.empty());
    }

    private static Knob knob(int least, int most, boolean readable, Saying... said) {
        return new Knob(
                "glow",
                KnobUse.PAINT,
                least,
                most,
                OptionalInt.empty(),
                "",
                OptionalDouble.empty(),
                readable,
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(said));
    }

    private static List<String> wrong(Set<Tongue> spoken, Knob... knobs) {
        List<String> places = new ArrayList<>();
        KnobCheck.of(List.of(knobs), List.of(), spoken, false, (at, reason) -> places.add(at));
        return places;
    }

    /** Octets with room for the knob's values, or the place that has too little. */
    @ParameterizedTest
    @CsvSource({
        "8x 01 04 4B 00 00 0p 0p FF, 0, 255, 0, ''",
        "8x 01 04 4B 00 00 0p 0p FF, 0, 256, 0, /knobs/0/said/0/frame",
        "8x 01 04 4B 00 00 0p 0p FF, -128, 127, 128, ''",
        "8x 01 04 4B 00 00 0p 0p FF, -129, 127, 128, /knobs/0/said/0/frame",
        "8x 01 7E pp FF, 0, 255, 0, ''",
        "8x 01 7E 0p 0p 0p 0p FF, 0, 65535, 0, ''",
        "8x 01 7E 00 FF, 0, 1, 0, /knobs/0/said/0/frame",
        "81 01 7E 0p FF, 0, 1, 0, /knobs/0/said/0/frame",
        "8x 01 7E 0p, 0, 1, 0, /knobs/0/said/0/frame"
    })
    void valuesFitTheirPlaces(String octets, int least, int most, int moreBy, String place) {
        Knob knob = knob(least, most, false, frame(octets, "", "", moreBy));
        assertThat(String.join(" ", wrong(EnumSet.of(Tongue.VISCA), knob))).isEqualTo(place);
    }

    @Test
    void whatIsReadBackNeedsItsQuestionAndAnswer() {
        Knob silent = knob(0, 9, true, frame("8x 01 7E 0p FF", "", "", 0));
        assertThat(wrong(EnumSet.of(Tongue.VISCA), silent))
                .containsExactly("/knobs/0/said/0/ask", "/knobs/0/said/0/answer");
        Knob tells = knob(0, 9, true, frame("8x 01 7E 0p FF", "8x 09 7E FF", "y0 50 0p FF", 0));
        assertThat(wrong(EnumSet.of(Tongue.VISCA), tells)).isEmpty();
        assertThat(wrong(EnumSet.of(Tongue.HTTP), tells)).containsExactly("/knobs/0/said/0/in");
        assertThat(wrong(EnumSet.of(Tongue.VISCA), tells, tells)).containsExactly("/knobs/1/name");
    }

    /** What turns axes round is asked for before a desk does: one alone, and it answers. */
    @Test
    void oneKnobThatAnswersSaysHowACameraHangs() {
        Knob tells = orients("mounting", true);
        assertThat(wrong(EnumSet.of(Tongue.VISCA), tells)).isEmpty();
        assertThat(wrong(EnumSet.of(Tongue.VISCA), orients("mounting", false)))
                .containsExactly("/knobs/0/readable");
        assertThat(wrong(EnumSet.of(Tongue.VISCA), tells, orients("flip", true)))
                .containsExactly("/knobs/0/choices", "/knobs/1/choices");
        assertThat(tells.turns(1)).contains(TurnedRound.TILT);
        assertThat(tells.turns(0)).isEmpty();
    }

    private static Knob orients(String name, boolean readable) {
        Knob plain = knob(0, 1, readable, frame("8x 01 7E 0p FF", "8x 09 7E FF", "y0 50 0p FF", 0));
        return new Knob(
                name,
                plain.use(),
                0,
                1,
                plain.neutral(),
                "",
                plain.effect(),
                readable,
                plain.does(),
                List.of(
                        new Choice("ceiling", 0, "", Optional.empty()),
                        new Choice("table", 1, "", Optional.of(TurnedRound.TILT))),
                List.of(),
                plain.said());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/set?iris={value}",
                "/set/{value:03d}",
                "/set?v={value:+d}&w={word}",
                "/a.b/~c/(d)/%20{value:02X}"
            })
    void aPathStaysAtTheDevice(String path) {
        assertThat(wrong(EnumSet.of(Tongue.HTTP), knob(0, 9, false, request(path, "")))).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "//other/{value}",
                "http://other/{value}",
                "set?{value}",
                "/a/../{value}",
                "/a b/{value}",
                "/{value}/..",
                "/set?{valeu}&{value}"
            })
    void aPathThatLeavesItIsRefused(String path) {
        assertThat(wrong(EnumSet.of(Tongue.HTTP), knob(0, 9, false, request(path, ""))))
                .contains("/knobs/0/said/0/request/path");
    }

    /** The braces of JSON are no places. */
    @Test
    void aBodyMayBeJson() {
        Knob knob = knob(0, 9, false, request("/set", "{\"a\":{\"iris\":{value}},\"b\":[]}"));
        assertThat(wrong(EnumSet.of(Tongue.HTTP), knob)).isEmpty();
        Knob without = knob(0, 9, false, request("/set", "{\"a\":1}"));
        assertThat(wrong(EnumSet.of(Tongue.HTTP), without))
                .containsExactly("/knobs/0/said/0/request");
    }

    @Test
    void onlyWhatIsGraveIsAskedFor() {
        assertThat(EnumSet.allOf(Does.class).stream().filter(Does::grave))
                .containsExactly(Does.RESTARTS, Does.ERASES, Does.POWERS);
    }
}
