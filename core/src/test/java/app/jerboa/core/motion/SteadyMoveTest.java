package app.jerboa.core.motion;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SteadyMoveTest {
    private static final SpeedScale PAN = new SpeedScale(0.3, 100, 24);
    private static final SpeedScale TILT = new SpeedScale(0.3, 90, 20);
    private static final double TICK = 0.02;
    private static final int TICKS_A_READING = 5;

    /** A head that speeds up and slows down, and tells whole counts of a fourteenth of a degree. */
    private static final class Head {
        private static final double ACCELERATION = 200;
        private double at;
        private double speed;

        void pass(double wanted) {
            double most = ACCELERATION * TICK;
            speed += Math.max(-most, Math.min(most, wanted - speed));
            at += speed * TICK;
        }

        double told() {
            return Math.round(at * 14) / 14.0;
        }
    }

    private record End(double seconds, double pan, double tilt, int changes) {}

    private static SteadyMove move(double panTo, double tiltTo, double seconds) {
        return new SteadyMove(
                Map.of(
                        MotionAxis.PAN, new SteadyMove.Leg(0, panTo, PAN),
                        MotionAxis.TILT, new SteadyMove.Leg(0, tiltTo, TILT)),
                seconds);
    }

    private static End run(double panTo, double tiltTo, double seconds) {
        SteadyMove move = move(panTo, tiltTo, seconds);
        assertThat(move.refusal()).isEmpty();
        Head pan = new Head();
        Head tilt = new Head();
        StickSpeeds.Steps told = StickSpeeds.Steps.NONE;
        int changes = 0;
        for (int tick = 0; tick < 100_000; tick++) {
            Optional<StickSpeeds.Steps> now = move.after(tick * TICK);
            if (now.isEmpty()) {
                while (pan.speed != 0 || tilt.speed != 0) {
                    pan.pass(0);
                    tilt.pass(0);
                }
                return new End(tick * TICK, pan.at, tilt.at, changes);
            }
            changes += now.get().equals(told) ? 0 : 1;
            told = now.get();
            pan.pass(speed(PAN, told.pan()));
            tilt.pass(speed(TILT, told.tilt()));
            if (tick % TICKS_A_READING == 0) {
                move.seen(MotionAxis.PAN, pan.told());
                move.seen(MotionAxis.TILT, tilt.told());
            }
        }
        throw new AssertionError("it never ends");
    }

    private static double speed(SpeedScale scale, int step) {
        return Math.copySign(scale.at(Math.abs(step)), step);
    }

    private static void insist(End end, double pan, double tilt, double seconds) {
        assertThat(end.seconds()).as("%s", end).isBetween(seconds - 0.5, seconds + 0.5);
        assertThat(Math.abs(end.pan() - pan)).as("pan of %s", end).isLessThanOrEqualTo(0.2);
        assertThat(Math.abs(end.tilt() - tilt)).as("tilt of %s", end).isLessThanOrEqualTo(0.2);
        assertThat(end.changes()).as("frames").isLessThan((int) (seconds * 12 + 20));
    }

    @ParameterizedTest
    @CsvSource({"30, 0, 10", "-30, 10, 10", "5, 5, 8", "100, -20, 20", "2, 0, 5", "90, 0, 3"})
    void itIsThereInTime(double pan, double tilt, double seconds) {
        insist(run(pan, tilt, seconds), pan, tilt, seconds);
    }

    @Test
    void anyMoveThatIsNotRefusedIsThereInTime() {
        Random random = new Random(20);
        for (int i = 0; i < 200; i++) {
            double seconds = 4 + random.nextDouble() * 26;
            double pan = (random.nextDouble() * 14 + 1) * seconds * (random.nextBoolean() ? 1 : -1);
            double tilt = (random.nextDouble() * 2 - 1) * 60;
            pan = Math.max(-165, Math.min(165, pan));
            insist(run(pan, tilt, seconds), pan, tilt, seconds);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0.05, 0, 5, THERE, 0",
        "100, 0, 0.9, TOO_FAST, 1",
        "0, 45, 0.2, TOO_FAST, 0.5",
        "3, 0, 11, TOO_SLOW, 10",
        "3, 0, NaN, TOO_FAST, 0.03"
    })
    void whatAHeadCannotDoIsRefused(
            double pan, double tilt, double seconds, SteadyMove.Cannot why, double can) {
        assertThat(move(pan, tilt, seconds).refusal()).contains(new SteadyMove.Refusal(why, can));
    }

    /** Metres on a rail, in counts of a millimetre; pan and tilt are told to stand meanwhile. */
    @ParameterizedTest
    @CsvSource({"2, 8", "-1.5, 12", "0.4, 5", "0.05, 2"})
    void aRailIsThereInTimeToo(double to, double seconds) {
        SpeedScale rail = new SpeedScale(0.01, 0.5, 24);
        SteadyMove move =
                new SteadyMove(Map.of(MotionAxis.RAIL, new SteadyMove.Leg(0, to, rail)), seconds);
        assertThat(move.refusal()).isEmpty();
        double at = 0;
        double ended = 0;
        for (int tick = 0; ended == 0; tick++) {
            Optional<StickSpeeds.Steps> now = move.after(tick * TICK);
            if (now.isEmpty()) {
                ended = tick * TICK;
            } else {
                assertThat(now.get().pan()).isZero();
                at += speed(rail, now.get().rail()) * TICK;
                move.seen(MotionAxis.RAIL, Math.round(at * 1000) / 1000.0);
            }
        }
        assertThat(ended).isBetween(seconds - 0.5, seconds + 0.5);
        assertThat(Math.abs(at - to)).isLessThanOrEqualTo(0.01);
    }
}
