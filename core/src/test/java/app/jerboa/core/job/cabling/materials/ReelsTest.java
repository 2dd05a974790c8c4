package app.jerboa.core.job.cabling.materials;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ReelsTest {
    @Test
    void dealsTheLongestFirstToTheFirstReelThatHoldsIt() {
        assertThat(Reels.deal(List.of(50.0, 60.0, 40.0, 100.0), 100)).containsExactly(3, 2, 2, 1);
    }

    @Test
    void whatIsLongerThanAReelComesFromNone() {
        assertThat(Reels.deal(List.of(101.0, 100.0), 100)).containsExactly(0, 1);
        assertThat(Reels.deal(List.of(), 100)).isEmpty();
    }

    @Test
    void noReelGivesMoreThanItHoldsAndTwoHalfEmptyOnesAreNeverLeft() {
        Random random = new Random(3);
        for (int round = 0; round < 100; round++) {
            List<Double> cuts = new ArrayList<>();
            for (int i = 0; i < random.nextInt(40); i++) {
                cuts.add(1.0 + random.nextInt(120));
            }
            int[] reels = Reels.deal(cuts, 100);
            double[] used = new double[cuts.size() + 1];
            int last = 0;
            for (int i = 0; i < reels.length; i++) {
                assertThat(reels[i] == 0).isEqualTo(cuts.get(i) > 100);
                used[reels[i]] += cuts.get(i);
                last = Math.max(last, reels[i]);
            }
            int half = 0;
            for (int r = 1; r <= last; r++) {
                assertThat(used[r]).isBetween(1e-9, 100.0);
                half += used[r] <= 50 ? 1 : 0;
            }
            assertThat(half).isLessThanOrEqualTo(1);
        }
    }
}
