package app.jerboa.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SoftLimitsTest {
    private static final SpeedScale PAN = new SpeedScale(0.3, 100, 24);
    private static final SpeedScale RAIL = new SpeedScale(0.01, 0.5, 10);
    private static final double INFINITE = Double.POSITIVE_INFINITY;

    /** At 90°/s², 0.3 s late: v = 90 x (sqrt(0.09 + 2 x left / 90) - 0.3). */
    @ParameterizedTest
    @CsvSource({
        // pushed, where it points, told: limits at -20 and 30
        "24, 0, 21", // 30 left: 51.3°/s
        "24, 29, 10", // 1 left: 3.1°/s
        "24, 29.9, 0",
        "24, 31, 0",
        "-24, 31, -22", // the way back is free as far as the other limit lets it be
        "-24, -19, -10",
        "-24, -20, 0",
        "-3, 0, -3",
        "0, 0, 0",
    })
    void slowsDownBeforeALimitAndStandsAtIt(int pushed, double at, int told) {
        StickSpeeds.Steps kept =
                panned(-20, 30)
                        .keep(
                                new StickSpeeds.Steps(pushed, 20, 8, -3, 2, 1),
                                Map.of(MotionAxis.PAN, at, MotionAxis.TILT, 0.0),
                                Map.of(MotionAxis.PAN, new AxisDrive(PAN, 90)));
        assertThat(kept).isEqualTo(new StickSpeeds.Steps(told, 20, 8, -3, 2, 1));
    }

    private static SoftLimits panned(double left, double right) {
        return new SoftLimits(Map.of(MotionAxis.PAN, new Between(left, right)));
    }

    /** At 0.5 m/s², 0.3 s late: v = 0.5 x (sqrt(0.09 + 4 x left) - 0.3). */
    @ParameterizedTest
    @CsvSource({
        // pushed along the rail, where it is, told: limit at 2 m
        "10, 0, 10",
        "10, 1.9, 7", // 10 cm left: 0.20 m/s
        "10, 1.993, 0",
        "10, 2.5, 0",
        "-10, 2.5, -10",
        "10, , 0", // nobody knows where it is
        "-10, , 0",
    })
    void aRailHasALimitInMetres(int pushed, Double at, int told) {
        SoftLimits limits = new SoftLimits(Map.of(MotionAxis.RAIL, new Between(-INFINITE, 2)));
        StickSpeeds.Steps kept =
                limits.keep(
                        new StickSpeeds.Steps(5, 6, 7, 8, 9, pushed),
                        at == null ? Map.of() : Map.of(MotionAxis.RAIL, at),
                        Map.of(MotionAxis.RAIL, AxisDrive.of(RAIL)));
        assertThat(kept).isEqualTo(new StickSpeeds.Steps(5, 6, 7, 8, 9, told));
    }

    @ParameterizedTest
    @CsvSource({
        // in tenths of a degree
        "0, 0, 0",
        "30, 10, 0",
        "31, 0, 10",
        "-25, 0, 50",
        "0, 12, 20",
        "33, -14, 40",
        "-20.5, 10.25, 5"
    })
    void howFarAPlaceIsOutside(double pan, double tilt, double beyond) {
        SoftLimits limits =
                new SoftLimits(
                        Map.of(
                                MotionAxis.PAN, new Between(-20, 30),
                                MotionAxis.TILT, new Between(-10, 10),
                                MotionAxis.ROLL, new Between(-5, 5)));
        Map<MotionAxis, Double> place = Map.of(MotionAxis.PAN, pan, MotionAxis.TILT, tilt);
        assertThat(limits.beyond(place)).isEqualTo(beyond);
        assertThat(limits.holds(place)).isEqualTo(beyond == 0);
        assertThat(SoftLimits.NONE.beyond(place)).isZero();
    }

    /** Of degrees and metres the one that is farther out by what a head can tell apart. */
    @Test
    void aPlaceIsAsFarOutsideAsItsWorstAxis() {
        SoftLimits limits =
                new SoftLimits(
                        Map.of(
                                MotionAxis.ROLL, new Between(-10, 10),
                                MotionAxis.RAIL, new Between(0, 2)));
        assertThat(limits.beyond(Map.of(MotionAxis.ROLL, 11.0, MotionAxis.RAIL, 2.5)))
                .isCloseTo(100, offset(1e-9));
        assertThat(limits.beyond(Map.of(MotionAxis.ROLL, 11.0))).isCloseTo(10, offset(1e-9));
    }

    /**
     * Whatever the head's speeds, its braking and the age of what it says: within a fifth of a
     * degree.
     */
    @Test
    void aPushedHeadComesToTheLimitAndNotPastIt() {
        Random random = new Random(19);
        for (int i = 0; i < 500; i++) {
            double braking = 40 + random.nextInt(400);
            double limit = 5 + random.nextInt(80);
            int readEvery = 1 + random.nextInt(5);
            int late = random.nextInt(6);
            SoftLimits limits = panned(-INFINITE, limit);
            Map<MotionAxis, AxisDrive> drives = Map.of(MotionAxis.PAN, new AxisDrive(PAN, braking));
            Deque<Integer> underWay = new ArrayDeque<>();
            BrakingHead head = new BrakingHead(braking);
            double read = 0;
            for (int tick = 0; tick < 3_000; tick++) {
                read = tick % readEvery == 0 ? head.at() : read;
                StickSpeeds.Steps pushed = StickSpeeds.Steps.of(24, 0);
                underWay.add(limits.keep(pushed, Map.of(MotionAxis.PAN, read), drives).pan());
                int told = underWay.size() > late ? underWay.remove() : 0;
                head.goes(PAN.at(told));
            }
            assertThat(head.at())
                    .as("run %d, limit %f", i, limit)
                    .isBetween(limit - 1, limit + 0.2);
        }
    }

    @Test
    void limitsThatLeaveNothingBetweenThemAreRefused() {
        assertThatThrownBy(() -> new Between(10, 10)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Between(5, Double.NaN))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
