package app.jerboa.core.bringup;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class GreedyTest {
    /** Seven and eight devices are ordered by the quick way: held against the thorough one. */
    @ParameterizedTest
    @EnumSource(
            value = BringUpMethod.class,
            names = {"HOP", "ALIAS", "LEASE"})
    void isCloseToTheLeast(BringUpMethod method) {
        Random random = new Random(5);
        double excess = 0;
        int rounds = 12;
        for (int round = 0; round < rounds; round++) {
            List<NewDevice> devices = SomeDevices.random(random, 7 + random.nextInt(2));
            boolean hops = method == BringUpMethod.HOP;
            var subnets =
                    devices.stream()
                            .flatMap(d -> d.start().stream())
                            .map(s -> s.subnet())
                            .distinct()
                            .toList();
            StepTimes times = StepTimes.usual();
            List<Chain> chains = new Chains(devices, method, hops, times, false, subnets).all();
            Problem problem =
                    new Problem(chains, times.of(Work.HOP), hops ? times.of(Work.VERIFY) : 0);
            List<Integer> quick = Greedy.order(problem);
            int least = Exact.end(problem, Exact.order(problem, quick).order());
            excess += (double) Exact.end(problem, quick) / least - 1;
        }
        assertThat(excess / rounds).as("mean excess over the least").isLessThan(0.04);
    }

    @Test
    void theSameProblemGivesTheSameOrder() {
        List<NewDevice> devices = SomeDevices.random(new Random(9), 30);
        assertThat(
                        BringUpPlan.of(
                                BringUpMethod.ALIAS,
                                false,
                                devices,
                                SomeDevices.HOME,
                                StepTimes.usual()))
                .isEqualTo(
                        BringUpPlan.of(
                                BringUpMethod.ALIAS,
                                false,
                                devices,
                                SomeDevices.HOME,
                                StepTimes.usual()));
    }
}
