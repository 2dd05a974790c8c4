package app.jerboa.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SoftLimitsTest {
    private static final SpeedScale PAN = new SpeedScale(0.3, 100, 24);
    private static final SpeedScale TILT = new SpeedScale(0.3, 90, 20);
    private static final double TICK = 0.02;
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
        SoftLimits limits = new SoftLimits(-20, 30, -INFINITE, INFINITE);
        StickSpeeds.Steps kept =
                limits.keep(new StickSpeeds.Steps(pushed, 20, 8, -3, 2, 1), at, 0, PAN, TILT, 90);
        assertThat(kept.tilt()).isEqualTo(20);
        assertThat(kept.zoom()).isEqualTo(8);
        assertThat(kept.focus()).isEqualTo(-3);
        assertThat(kept.pan()).isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0",
        "30, 10, 0",
        "31, 0, 1",
        "-25, 0, 5",
        "0, 12, 2",
        "33, -14, 4",
        "-20.5, 10.25, 0.5"
    })
    void howFarAPlaceIsOutside(double pan, double tilt, double beyond) {
        SoftLimits limits = new SoftLimits(-20, 30, -10, 10);
        assertThat(limits.beyond(pan, tilt)).isEqualTo(beyond);
        assertThat(limits.holds(pan, tilt)).isEqualTo(beyond == 0);
        assertThat(SoftLimits.NONE.beyond(pan, tilt)).isZero();
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
            SoftLimits limits = new SoftLimits(-INFINITE, limit, -INFINITE, INFINITE);
            Deque<Integer> underWay = new ArrayDeque<>();
            double at = 0;
            double speed = 0;
            double read = 0;
            for (int tick = 0; tick < 3_000; tick++) {
                read = tick % readEvery == 0 ? at : read;
                StickSpeeds.Steps pushed = StickSpeeds.Steps.of(24, 0);
                underWay.add(limits.keep(pushed, read, 0, PAN, TILT, braking).pan());
                int told = underWay.size() > late ? underWay.remove() : 0;
                double most = braking * TICK;
                speed += Math.max(-most, Math.min(most, PAN.at(told) - speed));
                at += speed * TICK;
            }
            assertThat(at).as("run %d, limit %f", i, limit).isBetween(limit - 1, limit + 0.2);
        }
    }

    @Test
    void limitsThatLeaveNothingBetweenThemAreRefused() {
        assertThatThrownBy(() -> new SoftLimits(10, 10, -5, 5))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new SoftLimits(-10, 10, 5, Double.NaN))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(SoftLimits.NONE.holds(1e9, -1e9)).isTrue();
        assertThat(new SoftLimits(-10, 10, -5, 5).holds(10.1, 0)).isFalse();
    }
}
