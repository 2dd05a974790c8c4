package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

/** One axis against the formulas of travel: d/v + v/a, or 2 sqrt(d/a) where it is never fast. */
class AxisRunTest {
    private static final double NO_TIME = 1e-9;

    @Test
    void aMoveTakesAsLongAsItsTrapezoid() {
        Random random = new Random(17);
        for (int i = 0; i < 300; i++) {
            double way = 5 + random.nextDouble() * 200;
            double fastest = 5 + random.nextDouble() * 90;
            double force = 20 + random.nextDouble() * 300;
            double seconds =
                    way > fastest * fastest / force
                            ? way / fastest + fastest / force
                            : 2 * Math.sqrt(way / force);
            double wanted = random.nextBoolean() ? way : -way;
            AxisRun before = new AxisRun(0, 0).after(seconds * 0.85, force, true, wanted, fastest);
            AxisRun after =
                    new AxisRun(0, 0).after(seconds * 1.05 + 0.1, force, true, wanted, fastest);
            assertThat(Math.abs(before.place())).isLessThan(way);
            assertThat(after.place()).isEqualTo(wanted);
            assertThat(after.rate()).isZero();
        }
    }

    /** Asked often or seldom, it is at the same place. */
    @Test
    void howOftenItIsAskedDoesNotMatter() {
        Random random = new Random(5);
        for (int i = 0; i < 100; i++) {
            double force = 30 + random.nextDouble() * 200;
            double speed = random.nextDouble() * 80 - 40;
            AxisRun once = new AxisRun(3, 0).after(2, force, false, speed, 90);
            AxisRun often = new AxisRun(3, 0);
            for (int k = 0; k < 40; k++) {
                often = often.after(0.05, force, false, speed, 90);
            }
            assertThat(often.place()).isCloseTo(once.place(), within(0.05));
            assertThat(once.place() - 3)
                    .isCloseTo(
                            speed * 2 - Math.signum(speed) * speed * speed / 2 / force,
                            within(0.2));
        }
    }

    @Test
    void withoutAForceItIsAtOnce() {
        AxisRun driven = new AxisRun(0, 0).after(2, Double.POSITIVE_INFINITY, false, 30, 90);
        assertThat(driven.place()).isCloseTo(60, within(NO_TIME));
        AxisRun sent = new AxisRun(0, 0).after(1, Double.POSITIVE_INFINITY, true, 45, 90);
        assertThat(sent.place()).isEqualTo(45);
        assertThat(new AxisRun(200, 30).within(-170, 170)).isEqualTo(new AxisRun(170, 0));
    }
}
