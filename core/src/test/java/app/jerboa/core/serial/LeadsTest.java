package app.jerboa.core.serial;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LeadsTest {
    private static final List<Double> OURS = List.of(2.0, 5.0, 10.0, 20.0, 35.0);

    @ParameterizedTest
    @CsvSource({
        "1.5, '[2.0]'",
        "2, '[2.0]'",
        "2.1, '[5.0]'",
        "12, '[20.0]'",
        "21, '[35.0]'",
        // One is not enough: of two, the least slack.
        "36, '[35.0, 2.0]'",
        "41, '[35.0, 10.0]'",
        // 35 + 5 and 20 + 20 are both 40 m: the longer lead first.
        "39.5, '[35.0, 5.0]'",
        "71, '[35.0, 35.0, 2.0]'",
        "0, '[2.0]'"
    })
    void coversARunWithTheFewestLeads(double metres, String leads) {
        assertThat(Leads.cover(metres, OURS)).hasToString(leads);
    }

    @Test
    void saysWhenNothingIsOnOfferOrItIsTooFar() {
        assertThat(Leads.cover(3, List.of())).isEmpty();
        assertThat(Leads.cover(1000, OURS)).isEmpty();
    }

    @Test
    void equalsTryingThemAll() {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            double metres = random.nextInt(900) / 10.0 + 0.1;
            int fewest = 1;
            while (leastSum(metres, fewest, 0) == Double.MAX_VALUE) {
                fewest++;
            }
            List<Double> found = Leads.cover(metres, OURS);
            assertThat(found).as("%s m", metres).hasSize(fewest);
            assertThat(found.stream().mapToDouble(d -> d).sum())
                    .isEqualTo(leastSum(metres, fewest, 0));
        }
    }

    private static double leastSum(double metres, int count, double so) {
        if (count == 0) {
            return so >= metres ? so : Double.MAX_VALUE;
        }
        double best = Double.MAX_VALUE;
        for (double length : OURS) {
            best = Math.min(best, leastSum(metres, count - 1, so + length));
        }
        return best;
    }
}
