package app.jerboa.server.prove;

import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.profile.Head;
import app.jerboa.core.prove.Moved;
import app.jerboa.core.prove.Standstill;
import app.jerboa.core.prove.TestStep;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.prove.HeadReading.Axis;
import app.jerboa.server.words.Words;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** Drives a head a little and judges by what it says of itself; then drives it back. */
final class HeadTests {
    private static final int MOST_TRIES_BACK = 6;
    private static final double NEAR_DEGREES = 0.1;

    /** Of the zoom's range: seen well, and soon back. */
    private static final double ZOOM_SHARE = 0.08;

    private final MachineDesk desk;
    private final HeadReading reading;
    private final Head head;
    private final double counts;

    HeadTests(MachineDesk desk) {
        this.desk = desk;
        this.reading = new HeadReading(desk);
        this.head = desk.head();
        this.counts = desk.link().can().countsPerDegree().orElse(head.countsPerDegree());
    }

    /** Where it points, to be put back. */
    String place() {
        PanTilt at = reading.head();
        return at.pan() + " " + at.tilt() + " " + reading.now(Axis.ZOOM);
    }

    /** As {@link #place} wrote it. */
    void putBack(String place) {
        String[] at = place.split(" ", -1);
        back(Axis.PAN, Integer.parseInt(at[0]));
        back(Axis.TILT, Integer.parseInt(at[1]));
        back(Axis.ZOOM, Integer.parseInt(at[2]));
    }

    Verdict moves() {
        double degrees = degrees();
        Drive pan = drive(Axis.PAN, degrees);
        Drive tilt = drive(Axis.TILT, degrees);
        String value = "pan " + pan.words() + ", tilt " + tilt.words();
        String detail = Words.say("prove.did.moves", Map.of("degrees", one(degrees)));
        if (pan.moved().well() && tilt.moved().well()) {
            return Verdict.ok(value, detail);
        }
        return pan.moved().backwards() || tilt.moved().backwards()
                ? Verdict.differs(value, detail)
                : Verdict.failed(value, detail);
    }

    private double degrees() {
        double share = Math.min(1, (double) reading.now(Axis.ZOOM) / ZoomPosition.TELE);
        return TestStep.degrees(head.lens().angleDegrees(share));
    }

    Verdict stop() {
        double degrees = degrees();
        Drive pan = drive(Axis.PAN, degrees);
        String value = pan.stoodMillis() + " ms of at most " + pan.allowedMillis() + " ms";
        String detail = Words.say("prove.did.stop", Map.of("speed", one(pan.speed())));
        if (pan.moved().changed() == 0) {
            return Verdict.cannotTell(Words.say("prove.stood-before"));
        }
        return pan.stoodMillis() <= pan.allowedMillis()
                ? Verdict.ok(value, detail)
                : Verdict.failed(value, detail);
    }

    Verdict zoom() {
        int before = reading.now(Axis.ZOOM);
        int way = before > ZoomPosition.TELE / 2 ? -1 : 1;
        int asked = (int) Math.round(way * ZOOM_SHARE * ZoomPosition.TELE);
        SpeedScale scale = head.zoom();
        int step = TestStep.step(scale, ZOOM_SHARE);
        HeadReading.Following following = reading.new Following(Axis.ZOOM);
        desk.hold(
                0,
                0,
                way * step,
                millis(ZOOM_SHARE, scale.at(step)),
                () -> following.is(z -> way * (z - before) >= Math.abs(asked)));
        standing(Axis.ZOOM, 0);
        Moved moved = Moved.between(before, reading.now(Axis.ZOOM), asked);
        back(Axis.ZOOM, before);
        String value = counts(moved.changed()) + " of " + counts(asked) + " counts";
        String detail = Words.say("prove.did.zoom");
        if (moved.well()) {
            return Verdict.ok(value, detail);
        }
        return moved.backwards() ? Verdict.differs(value, detail) : Verdict.failed(value, detail);
    }

    /**
     * One drive of an axis, out and back.
     *
     * @param speed degrees per second when it was stopped, by the profile
     */
    private record Drive(
            Moved moved, double counts, double speed, int stoodMillis, int allowedMillis) {
        String words() {
            return String.format(
                    Locale.ROOT,
                    "%+.1f° of %+.1f°",
                    moved.changed() / counts,
                    moved.asked() / counts);
        }
    }

    private Drive drive(Axis axis, double degrees) {
        boolean pan = axis == Axis.PAN;
        int before = reading.now(axis);
        int way =
                pan
                        ? TestStep.way(
                                before / counts, head.panLeftDegrees(), head.panRightDegrees())
                        : TestStep.way(
                                before / counts, head.tiltDownDegrees(), head.tiltUpDegrees());
        int asked = (int) Math.round(way * degrees * counts);
        SpeedScale scale = pan ? head.pan() : head.tilt();
        int step = TestStep.step(scale, degrees);
        HeadReading.Following following = reading.new Following(axis);
        hold(
                axis,
                way * step,
                millis(degrees, scale.at(step)),
                () -> following.is(at -> way * (at - before) >= Math.abs(asked)));
        Stood stood = standing(axis, scale.at(step));
        Moved moved = Moved.between(before, reading.now(axis), asked);
        back(axis, before);
        return new Drive(moved, counts, scale.at(step), stood.millis(), stood.allowed());
    }

    private void hold(Axis axis, int step, long millis, java.util.function.BooleanSupplier until) {
        desk.hold(
                axis == Axis.PAN ? step : 0,
                axis == Axis.TILT ? step : 0,
                axis == Axis.ZOOM ? step : 0,
                millis,
                until);
    }

    /** Twice what it takes at that speed, and time to gather it. */
    private static long millis(double way, double perSecond) {
        return Math.round(2000 * way / perSecond) + 1000;
    }

    private record Stood(int millis, int allowed) {}

    /** Two readings apart that agree; the first of them is when it stood. */
    private Stood standing(Axis axis, double speed) {
        long stopped = System.nanoTime();
        int before = reading.now(axis);
        int delay = millisSince(stopped);
        int allowed = Standstill.allowedMillis(speed, head.acceleration(), delay);
        int first = delay;
        while (true) {
            desk.rest(Standstill.BETWEEN_MILLIS);
            int asked = millisSince(stopped);
            int now = reading.now(axis);
            if (Standstill.agree(before, now) || first > 2 * allowed) {
                return new Stood(first, allowed);
            }
            before = now;
            first = asked;
        }
    }

    private static int millisSince(long nanos) {
        return (int) TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - nanos);
    }

    /** Nearer and slower each time, until it is as near as its slowest step allows. */
    private void back(Axis axis, int target) {
        double near = axis == Axis.ZOOM ? ZoomPosition.TELE / 200.0 : NEAR_DEGREES * counts;
        double unit = axis == Axis.ZOOM ? ZoomPosition.TELE : counts;
        SpeedScale scale =
                switch (axis) {
                    case PAN -> head.pan();
                    case TILT -> head.tilt();
                    case ZOOM -> head.zoom();
                };
        for (int i = 0; i < MOST_TRIES_BACK; i++) {
            int now = reading.now(axis);
            int error = target - now;
            if (Math.abs(error) <= near) {
                return;
            }
            int way = Integer.signum(error);
            double left = Math.abs(error) / unit;
            int step = Math.max(1, TestStep.step(scale, left) - i);
            HeadReading.Following following = reading.new Following(axis);
            hold(
                    axis,
                    way * step,
                    millis(left, scale.at(step)),
                    () -> following.is(at -> way * (target - at) <= near / 2));
            standing(axis, scale.at(step));
        }
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private static String counts(int counts) {
        return String.format(Locale.ROOT, "%+d", counts);
    }
}
