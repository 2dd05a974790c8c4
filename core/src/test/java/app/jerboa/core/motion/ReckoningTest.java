package app.jerboa.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ReckoningTest {
    private static final SpeedScale PAN = new SpeedScale(0.3, 100, 24);

    @Test
    void itIsWhereItSaidAndAsMuchFurtherAsItWasToldToGoSince() {
        Reckoning reckoning = new Reckoning();
        reckoning.goes(Map.of(MotionAxis.PAN, 10.0, MotionAxis.RAIL, -0.5), 100);
        Map<MotionAxis, Double> asked = reckoning.gone(102);
        reckoning.goes(Map.of(MotionAxis.PAN, -4.0), 103);
        reckoning.goes(Map.of(), 104);
        Map<MotionAxis, Double> said =
                Map.of(MotionAxis.PAN, 50.0, MotionAxis.TILT, 3.0, MotionAxis.RAIL, 2.0);
        Map<MotionAxis, Double> now = reckoning.from(said, asked, 110);
        assertThat(now.get(MotionAxis.PAN)).isCloseTo(50 + 10 - 4, offset(1e-9));
        assertThat(now.get(MotionAxis.TILT)).isEqualTo(3.0);
        assertThat(now.get(MotionAxis.RAIL)).isCloseTo(1.5, offset(1e-9));
    }

    private record Said(double place, Map<MotionAxis, Double> gone, int heardAt) {}

    /**
     * A head that is pushed to a limit by readings that are up to a second old comes no further
     * past it than one whose readings are fresh.
     */
    @Test
    void withReadingsThatAreLateAHeadStaysWithinItsLimit() {
        Random random = new Random(41);
        for (int run = 0; run < 300; run++) {
            double braking = 40 + random.nextInt(400);
            double limit = 5 + random.nextInt(80);
            int late = 1 + random.nextInt(50);
            SoftLimits limits =
                    new SoftLimits(
                            Map.of(MotionAxis.PAN, new Between(Double.NEGATIVE_INFINITY, limit)));
            Map<MotionAxis, AxisDrive> drives = Map.of(MotionAxis.PAN, new AxisDrive(PAN, braking));
            Reckoning reckoning = new Reckoning();
            Deque<Said> underWay = new ArrayDeque<>();
            Said heard = new Said(0, Map.of(), 0);
            BrakingHead head = new BrakingHead(braking);
            for (int tick = 0; tick < 3_000; tick++) {
                double now = tick * BrakingHead.TICK_SECONDS;
                if (tick % 5 == 0) {
                    underWay.add(new Said(head.at(), reckoning.gone(now), tick + late));
                }
                while (!underWay.isEmpty() && underWay.peek().heardAt() <= tick) {
                    heard = underWay.remove();
                }
                Map<MotionAxis, Double> said = Map.of(MotionAxis.PAN, heard.place());
                StickSpeeds.Steps pushed = StickSpeeds.Steps.of(24, 0);
                int told =
                        limits.keep(
                                        limits.keep(pushed, said, drives),
                                        reckoning.from(said, heard.gone(), now),
                                        drives)
                                .pan();
                reckoning.goes(Map.of(MotionAxis.PAN, PAN.at(told)), now);
                head.goes(PAN.at(told));
            }
            assertThat(head.at())
                    .as("run %d, %d ticks late", run, late)
                    .isBetween(limit - 1, limit + 0.2);
        }
    }
}
