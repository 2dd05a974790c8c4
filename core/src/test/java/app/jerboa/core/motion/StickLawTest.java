package app.jerboa.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StickLawTest {
    /**
     * Expected values by pocket calculator: (e^(k x') - 1) / (e^k - 1), x' = (|x| - d) / (1 - d).
     */
    @ParameterizedTest
    @CsvSource({
        "0, 0.1, 3, 1, 24, 0, 0",
        "0.1, 0.1, 3, 1, 24, 0, 0",
        "-0.1, 0.1, 3, 1, 24, 0, 0",
        "1, 0.1, 3, 1, 24, 1, 24",
        "-1, 0.1, 3, 1, 20, -1, -20",
        "0.55, 0.1, 0, 1, 24, 0.5, 12",
        "0.55, 0.1, 3, 1, 24, 0.182425523806, 4",
        "-0.55, 0.1, 3, 0.5, 24, -0.091212761903, -2",
        "0.101, 0.1, 3, 1, 24, 0.000175, 1",
        "0.5, 0, 0, 1, 63, 0.5, 32",
        "1, 0, 3, 0.25, 24, 0.25, 6",
        "1, 0, 3, 0.001, 24, 0.001, 1"
    })
    void deflectionToSpeed(
            double x, double d, double k, double limit, int steps, double y, int step) {
        StickLaw law = new StickLaw(d, k, limit);
        assertThat(law.speed(x)).isCloseTo(y, within(1e-6));
        assertThat(law.step(x, steps)).isEqualTo(step);
    }

    @Test
    void pushingFurtherNeverSlowsDownAndTheOtherWayIsTheSame() {
        for (double k : new double[] {0, 1e-12, 1, 3, 20, 100}) {
            StickLaw law = new StickLaw(0.05, k, 0.8);
            double before = 0;
            for (double x = 0; x <= 1; x += 0.01) {
                assertThat(law.speed(x)).isBetween(before, 0.8 + 1e-12);
                assertThat(law.speed(-x)).isEqualTo(-law.speed(x));
                before = law.speed(x);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "1, 3, 1",
        "-0.1, 3, 1",
        "0, -1, 1",
        "0, 101, 1",
        "0, 3, 0",
        "0, 3, 1.1",
        "NaN, 3, 1",
        "0, NaN, 1"
    })
    void impossibleLawsAreRefused(double d, double k, double limit) {
        assertThatThrownBy(() -> new StickLaw(d, k, limit))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void stepsAreAConstantFactorApart() {
        SpeedScale pan = new SpeedScale(0.4, 90, 24);
        assertThat(pan.at(0)).isZero();
        assertThat(pan.at(1)).isEqualTo(0.4);
        assertThat(pan.at(24)).isCloseTo(90, within(1e-9));
        assertThat(pan.at(13) / pan.at(12)).isCloseTo(pan.at(2) / pan.at(1), within(1e-9));
    }

    /**
     * 2 atan(6.2 / 9.6) and 2 atan(6.2 / 192); the middle of the range is the geometric mean,
     * 21.4663 mm.
     */
    @Test
    void angleOfView() {
        Lens lens = new Lens(6.2, 4.8, 96);
        assertThat(lens.angleDegrees(0)).isCloseTo(65.7114, within(1e-3));
        assertThat(lens.angleDegrees(1)).isCloseTo(3.6991, within(1e-3));
        assertThat(lens.focalMm(0.5)).isCloseTo(21.4663, within(1e-3));
    }
}
