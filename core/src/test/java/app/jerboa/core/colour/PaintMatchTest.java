package app.jerboa.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PaintMatchTest {
    private static final double[] GREYS = {0.03, 0.06, 0.12, 0.19, 0.30, 0.45, 0.65, 0.90};

    /** White is 100, 0, 0 and greys have no colour; the primaries as published for BT.709. */
    @ParameterizedTest
    @CsvSource({
        "255, 255, 255, 100, 0, 0",
        "0, 0, 0, 0, 0, 0",
        "104.25, 104.25, 104.25, 49.5, 0, 0",
        "255, 0, 0, 53.24, 80.09, 67.20",
        "0, 255, 0, 87.73, -86.18, 83.18",
        "0, 0, 255, 32.30, 79.19, -107.86",
    })
    void codesAsEyesSeeThem(double r, double g, double b, double l, double a, double bb) {
        Lab lab = Rgb.ofCodes(r, g, b).lab();
        assertThat(lab.l()).isCloseTo(l, within(0.6));
        assertThat(lab.a()).isCloseTo(a, within(0.05));
        assertThat(lab.b()).isCloseTo(bb, within(0.05));
        Rgb back = Rgb.of(lab);
        assertThat(Rgb.code(back.red())).isCloseTo(r, within(1e-6));
        assertThat(Rgb.code(back.green())).isCloseTo(g, within(1e-6));
        assertThat(Rgb.code(back.blue())).isCloseTo(b, within(1e-6));
    }

    /** A camera that makes this of our chart, by the same change for all its squares. */
    private static ChartReading chart(List<PaintKnob> knobs, int... steps) {
        PaintChange change = new PaintChange(knobs, steps);
        List<ChartReading.Square> squares = new ArrayList<>();
        for (int i = 0; i < ChartReading.SQUARES; i++) {
            Rgb v = change.of(scene(i));
            squares.add(
                    new ChartReading.Square(
                            Rgb.code(v.red()), Rgb.code(v.green()), Rgb.code(v.blue())));
        }
        return new ChartReading(squares);
    }

    private static Rgb scene(int square) {
        if (ChartReading.isGrey(square)) {
            double grey = GREYS[square - ChartReading.FIRST_GREY];
            return new Rgb(grey, grey, grey);
        }
        double turn = Math.toRadians(15 + 30 * (square < 6 ? square : square - 8));
        double far = 0.1;
        return new Rgb(
                0.28 + far * Math.cos(turn),
                0.28 + far * Math.cos(turn - 2.1),
                0.28 + far * Math.cos(turn + 2.1));
    }

    private static List<PaintKnob> knobs() {
        return List.of(
                knob(PaintKnob.Does.RED_GAIN, 0.2),
                knob(PaintKnob.Does.BLUE_GAIN, 0.2),
                knob(PaintKnob.Does.IRIS, 0.1),
                knob(PaintKnob.Does.MASTER_BLACK, 0.25),
                knob(PaintKnob.Does.GAMMA, 0.02),
                knob(PaintKnob.Does.SATURATION, 0.05),
                knob(PaintKnob.Does.HUE, 1.5));
    }

    private static PaintKnob knob(PaintKnob.Does what, double effect) {
        return new PaintKnob(what.word(), what, -20, 20, 0, effect);
    }

    /** Whatever the mess: never worse, close, and no single step would still be worth it. */
    @Test
    void aMessIsPutRight() {
        Random random = new Random(7);
        List<PaintKnob> knobs = knobs();
        ChartReading reference = chart(knobs, new int[7]);
        double sum = 0;
        for (int round = 0; round < 60; round++) {
            int[] mess = new int[7];
            for (int i = 0; i < mess.length; i++) {
                mess[i] = random.nextInt(9) - 4;
            }
            ChartReading camera = chart(knobs, mess);
            PaintMatch match = new PaintMatch(camera, reference, knobs);
            assertThat(match.predicted()).as("round %d", round).isLessThanOrEqualTo(match.before());
            assertThat(match.predicted()).as("round %d", round).isLessThan(1.0);
            assertThat(match.limits()).isEmpty();
            insistOnNoStepWorthIt(camera, reference, knobs, match);
            sum += match.predicted();
        }
        assertThat(sum / 60).isLessThan(0.4);
    }

    private static void insistOnNoStepWorthIt(
            ChartReading camera, ChartReading reference, List<PaintKnob> knobs, PaintMatch match) {
        for (int knob = 0; knob < knobs.size(); knob++) {
            for (int by = -1; by <= 1; by += 2) {
                int[] steps = match.moves().stream().mapToInt(Integer::intValue).toArray();
                steps[knob] += by;
                assertThat(mean(camera, reference, knobs, steps))
                        .isGreaterThan(match.predicted() - PaintMatch.WORTH);
            }
        }
    }

    private static double mean(
            ChartReading camera, ChartReading reference, List<PaintKnob> knobs, int[] steps) {
        PaintChange change = new PaintChange(knobs, steps);
        List<Integer> usable = PaintMatch.usable(camera, reference);
        double sum = 0;
        for (int i : usable) {
            Lab is = change.of(camera.squares().get(i).rgb()).lab();
            sum += DeltaE.of(is, reference.lab(i).orElseThrow());
        }
        return sum / usable.size();
    }

    @Test
    void aKnobAtItsLimitThatWouldStillHelpIsNamed() {
        List<PaintKnob> short1 = List.of(new PaintKnob("iris", PaintKnob.Does.IRIS, 0, 3, 1, 0.1));
        List<PaintKnob> knobs = knobs();
        ChartReading dark = chart(knobs, 0, 0, -8, 0, 0, 0, 0);
        PaintMatch match = new PaintMatch(dark, chart(knobs, new int[7]), short1);
        assertThat(match.moves()).containsExactly(2);
        assertThat(match.limits()).containsExactly("iris");
        assertThat(match.predicted()).isLessThan(match.before());
    }

    @Test
    void greysStayGreyWhateverSaturationAndHueDo() {
        List<PaintKnob> knobs = knobs();
        PaintChange change = new PaintChange(knobs, new int[] {0, 0, 0, 0, 0, 9, 17});
        Rgb grey = change.of(new Rgb(0.3, 0.3, 0.3));
        assertThat(grey.red()).isCloseTo(0.3, within(1e-12));
        assertThat(grey.green()).isCloseTo(0.3, within(1e-12));
        assertThat(grey.blue()).isCloseTo(0.3, within(1e-12));
        Rgb red =
                new PaintChange(knobs, new int[] {0, 0, 0, 0, 0, 0, 10}).of(new Rgb(0.5, 0.1, 0.1));
        assertThat(red.green()).as("from red towards green").isGreaterThan(0.1);
    }
}
