package app.jerboa.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StickSpeedsTest {
    private static final SpeedScale PAN = new SpeedScale(0.3, 100, 24);
    private static final SpeedScale TILT = new SpeedScale(0.3, 90, 20);
    private static final double WIDE = 60;

    /** It rolls, and stands on no rail. */
    private static final StickSpeeds.More ROLLS =
            new StickSpeeds.More(Optional.of(new SpeedScale(0.1, 45, 24)), Optional.empty());

    private static StickSpeeds speeds(Feel feel) {
        return new StickSpeeds(feel, PAN, TILT, 8, ROLLS, WIDE);
    }

    private static Feel feel(double k, double ramp, double pan, double crossing) {
        return new Feel(0.1, k, ramp, new Feel.Speeds(pan, 1, 1, 1, 1), crossing);
    }

    /**
     * Recorded movements, as {@code seconds@deflection}: the pan steps that each leads to, by hand
     * from the law, the limit and a rise of 1 / ramp a second.
     */
    @ParameterizedTest
    @CsvSource({
        // no ramp: the law alone
        "0, 0, 1, 0@1 0.5@0.55 0.1@0.1 0.1@-1, 24 12 0 -24",
        "3, 0, 1, 0@1 0.5@0.55 0.1@0.11, 24 4 1",
        "0, 0, 0.5, 0@1 0.1@-0.55, 12 -6",
        // half a ramp up, to the top, and down again by the same slope
        "0, 1, 1, 0@1 0.5@1 0.5@1 0.25@0.55 0.25@0.55 0.25@0.55, 1 12 24 18 12 12",
        // through the middle: it creeps both sides of it
        "0, 1, 1, 0@1 0.5@1 0.25@-1 0.25@-1 0.25@-1, 1 12 6 -1 -6",
        // a push that ends within the dead zone runs out
        "0, 1, 1, 0.5@1 0.25@0.05 0.2@0.05 0.05@0.05, 12 6 1 0",
        // repeats of the same change nothing
        "0, 0.2, 1, 1@1 0.02@1 0.02@1, 24 24 24"
    })
    void movementsGiveTheirSteps(
            double k, double ramp, double limit, String moved, String expected) {
        StickSpeeds stick = speeds(feel(k, ramp, limit, 0));
        List<Integer> steps = new ArrayList<>();
        for (String m : moved.split(" ", -1)) {
            String[] at = m.split("@", -1);
            stick.push(Push.of(Double.parseDouble(at[1]), 0), 1);
            steps.add(stick.after(Double.parseDouble(at[0])).pan());
        }
        assertThat(steps.stream().map(String::valueOf).collect(Collectors.joining(" ")))
                .isEqualTo(expected);
    }

    /** 0.3 x 333.3^((s - 1) / 23) degrees a second at step s, by pocket calculator. */
    @ParameterizedTest
    @CsvSource({"60, 5, 15", "30, 5, 12", "6, 5, 6", "1, 5, 1", "60, 0, 24", "600, 5, 24"})
    void zoomedInIsSlower(double view, double crossing, int step) {
        StickSpeeds stick = speeds(feel(3, 0, 1, crossing));
        stick.view(view);
        stick.push(Push.of(1, 0), 1);
        assertThat(stick.after(0).pan()).isEqualTo(step);
        stick.push(Push.of(-1, 0), 1);
        assertThat(stick.after(0).pan()).isEqualTo(-step);
    }

    /** Any hand, any feel: no step is left out by a full ramp, no picture crosses too soon. */
    @Test
    void noStepsAreLostAndNoPictureCrossesTooSoon() {
        Random random = new Random(19);
        for (int i = 0; i < 300; i++) {
            Feel feel =
                    new Feel(
                            random.nextDouble() * 0.5,
                            random.nextDouble() * 10,
                            0.1 + random.nextDouble(),
                            Feel.Speeds.FULL,
                            random.nextDouble() * 10);
            StickSpeeds stick = speeds(feel);
            double view = 1 + random.nextDouble() * 60;
            stick.view(view);
            stick.push(Push.of(1, 1), 1);
            int before = 0;
            int changes = 0;
            for (int tick = 0; tick < 1_200; tick++) {
                int step = stick.after(0.001).pan();
                assertThat(step - before).isBetween(0, 1);
                changes += step == before ? 0 : 1;
                before = step;
            }
            assertThat(changes).isEqualTo(before);
            assertThat(before == 1 || stick.crossingSeconds() >= feel.crossingSeconds()).isTrue();
            assertThat(stick.crossingSeconds()).isEqualTo(view / PAN.at(before));
        }
    }

    @Test
    void allAxesGoTheirOwnWayAndStandTogether() {
        StickSpeeds stick = speeds(new Feel(0.1, 0, 0, new Feel.Speeds(1, 0.5, 0.25, 0.5, 1), 0));
        stick.push(new Push(1, -1, 1, -1, -1, 1), 1);
        assertThat(stick.after(0)).isEqualTo(new StickSpeeds.Steps(24, -10, 2, -4, -24, 0));
        assertThat(stick.isPushed()).isTrue();
        stick.stand();
        assertThat(stick.isPushed()).isFalse();
        assertThat(stick.after(0)).isEqualTo(StickSpeeds.Steps.NONE);
    }

    /** The same law and ramp, without what a picture's crossing time asks. */
    @Test
    void rollGoesByTheSameLaw() {
        StickSpeeds stick = speeds(feel(0, 1, 1, 5));
        stick.view(1);
        stick.push(new Push(0, 0, 0, 0, 1, 1), 0.5);
        assertThat(stick.after(0.25).roll()).isEqualTo(6);
        assertThat(stick.after(1).roll()).isEqualTo(12);
        assertThat(stick.after(0).rail()).as("it has none").isZero();
        stick.push(new Push(0, 0, 0, 0, 0, 1), 1);
        assertThat(stick.isPushed()).as("an axis that it does not have").isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "0.6 3 0 1 1 1 1 1 5, deadZone",
        "0.1 -1 0 1 1 1 1 1 5, k",
        "0.1 3 4 1 1 1 1 1 5, rampSeconds",
        "0.1 3 0 0 1 1 1 1 5, pan",
        "0.1 3 0 1 2 1 1 1 5, tilt",
        "0.1 3 0 1 1 NaN 1 1 5, zoom",
        "0.1 3 0 1 1 1 0.04 1 5, focus",
        "0.1 3 0 1 1 1 1 1.1 5, recall",
        "0.1 3 0 1 1 1 1 1 61, crossingSeconds"
    })
    void whatCannotBeIsRefusedByName(String values, String field) {
        double[] v =
                Arrays.stream(values.split(" ", -1)).mapToDouble(Double::parseDouble).toArray();
        assertThatThrownBy(
                        () ->
                                new Feel(
                                        v[0],
                                        v[1],
                                        v[2],
                                        new Feel.Speeds(v[3], v[4], v[5], v[6], v[7]),
                                        v[8]))
                .isInstanceOfSatisfying(
                        Feel.Impossible.class, e -> assertThat(e.field()).isEqualTo(field));
    }
}
