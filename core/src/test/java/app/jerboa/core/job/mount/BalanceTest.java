package app.jerboa.core.job.mount;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BalanceTest {
    /** Worked by hand: 1500 g at -20 and 500 g at 100 meet at (-30000 + 50000) / 2000 = 10 mm. */
    @ParameterizedTest
    @CsvSource({
        "1500, -20, 500, 100, 10, -10, 40, true",
        "1500, -20, 500, 100, 10, -10, 10, true",
        "1500, -20, 500, 100, 10, -10, 9, false",
        "1000, 50, 1000, -50, 0, 0, 0, true",
        "2000, 30, 1000, 60, 40, -40, 39.9, false",
    })
    void twoParts(
            double m1,
            double x1,
            double m2,
            double x2,
            double centre,
            double shift,
            double travel,
            boolean within) {
        Balance balance =
                Balance.of(List.of(new Balance.Part(m1, x1), new Balance.Part(m2, x2)), travel);
        assertThat(balance.centreMm()).isCloseTo(centre, within(1e-9));
        assertThat(balance.shiftMm()).isCloseTo(shift, within(1e-9));
        assertThat(balance.withinTravel()).isEqualTo(within);
    }

    @Test
    void movedByItsShiftItIsInBalanceAndTheOrderOfPartsDoesNotMatter() {
        Random random = new Random(7);
        for (int round = 0; round < 200; round++) {
            List<Balance.Part> parts = new ArrayList<>();
            for (int i = 0; i <= random.nextInt(6); i++) {
                parts.add(new Balance.Part(1 + random.nextInt(4000), random.nextInt(600) - 300));
            }
            Balance before = Balance.of(parts, 100);
            List<Balance.Part> moved = new ArrayList<>();
            parts.forEach(
                    p ->
                            moved.add(
                                    0,
                                    new Balance.Part(p.grams(), p.offsetMm() + before.shiftMm())));
            assertThat(Balance.of(moved, 0).centreMm()).isCloseTo(0, within(1e-9));
        }
    }

    @Test
    void nothingCannotBeBalanced() {
        assertThatThrownBy(() -> Balance.of(List.of(), 10))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
