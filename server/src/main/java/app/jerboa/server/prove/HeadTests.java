package app.jerboa.server.prove;

import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.profile.Head;
import app.jerboa.core.prove.Moved;
import app.jerboa.core.prove.TestStep;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.head.HeadGoing;
import app.jerboa.server.head.HeadReading;
import app.jerboa.server.head.HeadReading.Axis;
import app.jerboa.server.words.Words;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.Locale;
import java.util.Map;

/** Drives a head a little and judges by what it says of itself; then drives it back. */
final class HeadTests {
    /** Of the zoom's range: seen well, and soon back. */
    private static final double ZOOM_SHARE = 0.08;

    private final HeadGoing going;
    private final HeadReading reading;
    private final Head head;
    private final double counts;

    HeadTests(MachineDesk desk) {
        this.going = new HeadGoing(desk);
        this.reading = going.reading();
        this.head = desk.head();
        this.counts = going.countsPerDegree();
    }

    /** Where it points, to be put back. */
    String place() {
        return going.place();
    }

    /** As {@link #place} wrote it. */
    void putBack(String place) {
        going.putBack(place);
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
        String value =
                Words.say(
                        "prove.stop-time",
                        Map.of("took", pan.stoodMillis(), "most", pan.allowedMillis()));
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
        going.hold(
                Axis.ZOOM,
                way * step,
                HeadGoing.millis(ZOOM_SHARE, scale.at(step)),
                () -> following.is(z -> way * (z - before) >= Math.abs(asked)));
        going.standing(Axis.ZOOM, 0);
        Moved moved = Moved.between(before, reading.now(Axis.ZOOM), asked);
        going.to(Axis.ZOOM, before);
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
        going.hold(
                axis,
                way * step,
                HeadGoing.millis(degrees, scale.at(step)),
                () -> following.is(at -> way * (at - before) >= Math.abs(asked)));
        HeadGoing.Stood stood = going.standing(axis, scale.at(step));
        Moved moved = Moved.between(before, reading.now(axis), asked);
        going.to(axis, before);
        return new Drive(moved, counts, scale.at(step), stood.millis(), stood.allowed());
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private static String counts(int counts) {
        return String.format(Locale.ROOT, "%+d", counts);
    }
}
