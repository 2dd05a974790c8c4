package app.jerboa.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.value.Wiring;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PoeTest {
    /** What a run may be given and what the sum knows are one list. */
    @Test
    void theFieldTakesTheGaugesOfTheTable() {
        assertThat(Wiring.GAUGES)
                .containsExactlyElementsOf(Copper.GAUGES.stream().map(String::valueOf).toList());
    }

    /** Worked by hand with 84.22 ohm/km a conductor; the run adds 0.2 ohm of connectors. */
    @ParameterizedTest
    @CsvSource({
        // volts, ohms, watts -> amps, watts at the source, volts at the load
        "50, 8.622, 25.5, 0.5651, 28.25, 45.13",
        "48, 0,     12,   0.25,   12,    48",
        "12, 2,     10,   1,      12,    10",
        "50, 10,    0,    0,      0,     50",
    })
    void aConstantLoadTakesTheSmallerCurrent(
            double volts, double ohms, double watts, double amps, double source, double left) {
        ConstantLoad load = ConstantLoad.of(volts, ohms, watts).orElseThrow();
        assertThat(load.amps()).isCloseTo(amps, within(0.000_1));
        assertThat(load.sourceWatts()).isCloseTo(source, within(0.01));
        assertThat(load.volts()).isCloseTo(left, within(0.01));
    }

    @Test
    void aRunCannotCarryMoreThanAQuarterOfVoltsSquaredByOhms() {
        assertThat(ConstantLoad.of(12, 4, 9)).isPresent();
        assertThat(ConstantLoad.of(12, 4, 9.001)).isEmpty();
        assertThatThrownBy(() -> ConstantLoad.of(0, 1, 1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({"4, 100, 8.622", "4, 0, 0.2", "8, 100, 4.411", "3, 50, 4.411"})
    void ohmsOfARun(int poe, double metres, double ohms) {
        assertThat(PoeRun.ohms(metres, PoeClass.of(poe))).isCloseTo(ohms, within(0.000_1));
    }

    @Test
    void longerNeverGivesMoreVoltsAndTheLongestRunIsTheLastThatWorks() {
        Random random = new Random(7);
        for (int i = 0; i < 400; i++) {
            PoeClass poe = PoeClass.of(random.nextInt(9));
            double watts = poe.deviceWatts() * (0.2 + 0.8 * random.nextDouble());
            double longest = PoeRun.longest(poe, watts);
            assertThat(PoeRun.of(longest * 0.999, poe, watts))
                    .as("%s %s W", poe, watts)
                    .isPresent();
            assertThat(PoeRun.of(longest * 1.001 + 0.01, poe, watts)).isEmpty();
            double near = PoeRun.of(longest * 0.4, poe, watts).orElseThrow().volts();
            double far = PoeRun.of(longest * 0.8, poe, watts).orElseThrow().volts();
            assertThat(far).isLessThan(near);
        }
    }
}
