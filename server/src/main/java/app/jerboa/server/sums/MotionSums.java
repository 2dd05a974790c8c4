package app.jerboa.server.sums;

import static app.jerboa.server.sums.SumCheck.between;
import static app.jerboa.server.sums.SumCheck.needed;
import static app.jerboa.server.sums.SumCheck.positive;

import app.jerboa.core.motion.Moves;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Views, travel times, and how far a head goes on. */
@RestController
@RequestMapping("/api/sums")
class MotionSums {
    private static final double MOST_DEGREES_A_SECOND = 10_000;
    private static final double MOST_MILLIS = 60_000;

    static final class ViewIn {
        public Double sensorWidthMm;
        public Double focalMm;
        public double teleconverter = 1;
        public Double panDegPerSecond;
    }

    record ViewOut(double angleDegrees, double crossingSeconds) {}

    static final class TravelIn {
        public Double degrees;
        public Double topDegPerSecond;
        public Double accelDegPerSecond2;
    }

    record TravelOut(double seconds) {}

    /** Without an acceleration there is no braking term. */
    static final class LateIn {
        public Double degPerSecond;
        public Double oneWayMs;
        public double pictureMs = 0;
        public Double accelDegPerSecond2;
    }

    record LateOut(double degrees) {}

    @PostMapping("/view")
    ViewOut view(@RequestBody ViewIn in) {
        double sensor = positive("sensorWidthMm", needed("sensorWidthMm", in.sensorWidthMm), 100);
        double focal = positive("focalMm", needed("focalMm", in.focalMm), 10_000);
        double times = between("teleconverter", in.teleconverter, 0.1, 10);
        double angle = Moves.angleOfView(sensor, focal * times);
        return new ViewOut(angle, angle / speed("panDegPerSecond", in.panDegPerSecond));
    }

    @PostMapping("/travel")
    TravelOut travel(@RequestBody TravelIn in) {
        return new TravelOut(
                Moves.seconds(
                        between("degrees", needed("degrees", in.degrees), 0, 36_000),
                        speed("topDegPerSecond", in.topDegPerSecond),
                        speed("accelDegPerSecond2", in.accelDegPerSecond2)));
    }

    @PostMapping("/late")
    LateOut late(@RequestBody LateIn in) {
        double speed =
                between(
                        "degPerSecond",
                        needed("degPerSecond", in.degPerSecond),
                        0,
                        MOST_DEGREES_A_SECOND);
        double millis =
                between("oneWayMs", needed("oneWayMs", in.oneWayMs), 0, MOST_MILLIS)
                        + between("pictureMs", in.pictureMs, 0, MOST_MILLIS);
        double braking =
                in.accelDegPerSecond2 == null
                        ? 0
                        : Moves.braking(speed, speed("accelDegPerSecond2", in.accelDegPerSecond2));
        return new LateOut(Moves.late(speed, millis / 1000) + braking);
    }

    private static double speed(String field, Double given) {
        return positive(field, needed(field, given), MOST_DEGREES_A_SECOND);
    }
}
