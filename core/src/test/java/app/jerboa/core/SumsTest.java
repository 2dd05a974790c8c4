package app.jerboa.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.motion.Moves;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.Copper;
import app.jerboa.core.power.DcRun;
import app.jerboa.core.power.PoeRun;
import app.jerboa.core.serial.SerialTiming;
import app.jerboa.core.video.Coax;
import app.jerboa.core.video.StreamRate;
import app.jerboa.core.video.VideoLink;
import java.util.List;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The calculators against values worked out by hand, and what must hold for all of them. */
class SumsTest {
    private static final Offset<Double> CLOSE = within(0.005);

    /** Loop resistance and volts at a 25.5 W device behind 50 V. */
    @ParameterizedTest
    @CsvSource({
        "100, 24, 2, 20, false, 8.622, 45.13",
        "50, 24, 2, 20, false, 4.411, 47.639",
        "100, 24, 4, 20, false, 4.411, 47.639",
        "100, 23, 2, 40, false, 7.404, 45.885",
        "100, 26, 2, 20, true, 21.624, 33.578",
    })
    void poweredOverEthernet(
            double metres,
            int gauge,
            int pairs,
            double celsius,
            boolean clad,
            double ohms,
            double volts) {
        double loop = PoeRun.ohms(metres, Copper.ohmsPerMetre(gauge, celsius, clad), pairs, 0.2);
        assertThat(loop).isCloseTo(ohms, CLOSE);
        assertThat(ConstantLoad.of(50, loop, 25.5).orElseThrow().volts()).isCloseTo(volts, CLOSE);
    }

    /**
     * 24 V and 0.6 A over 45 m of AWG 24: R 7.580 ohm, 19.45 V; longest 23.75 m, 47.49 m doubled.
     */
    @ParameterizedTest
    @CsvSource({"1, 7.580, 19.45, 23.75, false", "2, 3.790, 21.73, 47.49, true"})
    void directCurrentToAConstantCurrent(
            int conductors, double ohms, double volts, double longest, boolean works) {
        double perMetre = DcRun.ohmsPerMetre(24, conductors, 20);
        DcRun run = DcRun.current(24, 0.6, 45, perMetre, 21.6);
        assertThat(run.loopOhms()).isCloseTo(ohms, CLOSE);
        assertThat(run.deviceVolts().orElseThrow()).isCloseTo(volts, CLOSE);
        assertThat(run.longestMetres()).isCloseTo(longest, CLOSE);
        assertThat(run.works()).isEqualTo(works);
    }

    /** A dome of 10 W at 12 V on 42 m of AWG 24 gets nowhere; at 24 V it sees 20.56 V. */
    @Test
    void directCurrentToAConstantPower() {
        double perMetre = DcRun.ohmsPerMetre(24, 1, 20);
        assertThat(DcRun.power(12, 10, 42, perMetre, 10.8).works()).isFalse();
        assertThat(DcRun.power(12, 10, 42, perMetre, 10.8).longestMetres())
                .isCloseTo((12 - 10.8) * 10.8 / 10 / perMetre, within(1e-9));
        DcRun high = DcRun.power(24, 10, 42, perMetre, 12);
        assertThat(high.deviceVolts().orElseThrow()).isCloseTo(20.559, CLOSE);
        assertThat(high.works()).isTrue();
        assertThat(DcRun.power(12, 100, 42, perMetre, 10.8).deviceVolts()).isEmpty();
    }

    @Test
    void longerNeverGivesMoreVoltsAndThickerNeverFewer() {
        Random random = new Random(3);
        for (int i = 0; i < 300; i++) {
            double watts = 1 + random.nextInt(40);
            double metres = 1 + random.nextInt(120);
            int gauge = random.nextInt(Copper.GAUGES.size() - 1);
            double here = volts(48, watts, metres, Copper.GAUGES.get(gauge + 1));
            assertThat(volts(48, watts, metres + 5, Copper.GAUGES.get(gauge + 1)))
                    .isLessThanOrEqualTo(here);
            assertThat(volts(48, watts, metres, Copper.GAUGES.get(gauge)))
                    .isGreaterThanOrEqualTo(here);
        }
    }

    private static double volts(double supply, double watts, double metres, int gauge) {
        return DcRun.power(supply, watts, metres, DcRun.ohmsPerMetre(gauge, 1, 20), 10)
                .deviceVolts()
                .orElse(0.0);
    }

    /** At its longest it works, a metre further it does not. */
    @Test
    void theLongestRunIsTheLongest() {
        for (int gauge : List.of(18, 22, 24, 26)) {
            for (double watts : List.of(4.0, 12.0, 30.0)) {
                double perMetre = DcRun.ohmsPerMetre(gauge, 1, 20);
                double longest = DcRun.power(24, watts, 1, perMetre, 21.6).longestMetres();
                assertThat(DcRun.power(24, watts, longest - 0.001, perMetre, 21.6).works())
                        .isTrue();
                assertThat(DcRun.power(24, watts, longest + 1, perMetre, 21.6).works()).isFalse();
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"9600, 10, 64", "19200, 10, 128", "9600, 11, 58.18"})
    void serialUpdates(int baud, int bits, double perSecond) {
        assertThat(SerialTiming.updatesPerSecond(baud, bits)).isCloseTo(perSecond, CLOSE);
    }

    @ParameterizedTest
    @CsvSource({
        "RG6, 1080p50, 2.97, 26.06, 76.74",
        "RG6, 1080p25, 1.485, 18.06, 110.75",
        "RG59, 720p60, 1.485, 22.22, 90.01",
        "MINI, 1080p60, 2.97, 44.23, 45.22",
        "RG6, 2160p60, 11.88, 55.68, 71.84",
    })
    void coax(Coax cable, String format, double gbps, double loss, double longest) {
        double link = VideoLink.gigabits(format);
        assertThat(link).isEqualTo(gbps);
        assertThat(cable.lossDbPer100m(link)).isCloseTo(loss, CLOSE);
        assertThat(cable.longestMetres(link, Coax.allowedDb(link)))
                .isCloseTo(longest, within(0.02));
    }

    @Test
    void whatIsNoFormatIsRefused() {
        assertThatThrownBy(() -> VideoLink.gigabits("1080"))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** 1920 x 1080 x 30 x 0.12 is 7.465 Mb/s at 30 frames. */
    @ParameterizedTest
    @CsvSource({
        "H264, 1920, 1080, 30, 7.465",
        "H264, 1920, 1080, 50, 10.142",
        "H265, 1920, 1080, 30, 4.479",
        "MJPEG, 1280, 720, 25, 18.432",
    })
    void streams(StreamRate codec, int width, int height, double fps, double megabits) {
        assertThat(codec.megabits(width, height, fps)).isCloseTo(megabits, CLOSE);
    }

    /** 60 deg/s and 120 deg/s2: 30 degrees are the edge between ramp only and top speed. */
    @ParameterizedTest
    @CsvSource({"30, 60, 120, 1.0", "90, 60, 120, 2.0", "7.5, 60, 120, 0.5", "0, 60, 120, 0"})
    void travel(double degrees, double top, double acceleration, double seconds) {
        assertThat(Moves.seconds(degrees, top, acceleration)).isCloseTo(seconds, within(1e-9));
    }

    @Test
    void viewAndOvershoot() {
        assertThat(Moves.angleOfView(36, 18)).isCloseTo(90, within(1e-9));
        assertThat(Moves.late(30, 0.2)).isCloseTo(6, within(1e-9));
        assertThat(Moves.braking(30, 100)).isCloseTo(4.5, within(1e-9));
    }
}
