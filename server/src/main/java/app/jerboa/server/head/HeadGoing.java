package app.jerboa.server.head;

import app.jerboa.core.motion.Moves;
import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.profile.Head;
import app.jerboa.core.prove.Standstill;
import app.jerboa.core.prove.TestStep;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.head.HeadReading.Axis;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/** Drives a head to a place by its stick, and reads where it stands. All places are in counts. */
public final class HeadGoing {
    private static final int MOST_TRIES = 8;
    private static final double NEAR_DEGREES = 0.1;

    /** So long after it is told, about. */
    private static final double DELAY_SECONDS = 0.1;

    private final MachineDesk desk;
    private final HeadReading reading;
    private final Head head;
    private final double counts;

    public HeadGoing(MachineDesk desk) {
        this.desk = desk;
        this.reading = new HeadReading(desk);
        this.head = desk.head();
        this.counts = desk.link().can().countsPerDegree().orElse(head.countsPerDegree());
    }

    public HeadReading reading() {
        return reading;
    }

    public double countsPerDegree() {
        return counts;
    }

    /** Where it points, to be put back. */
    public String place() {
        PanTilt at = reading.head();
        return at.pan() + " " + at.tilt() + " " + reading.now(Axis.ZOOM);
    }

    /** As {@link #place} wrote it. */
    public void putBack(String place) {
        String[] at = place.split(" ", -1);
        to(Axis.PAN, Integer.parseInt(at[0]));
        to(Axis.TILT, Integer.parseInt(at[1]));
        to(Axis.ZOOM, Integer.parseInt(at[2]));
    }

    public void hold(Axis axis, int step, long millis, BooleanSupplier until) {
        desk.hold(
                axis == Axis.PAN ? step : 0,
                axis == Axis.TILT ? step : 0,
                axis == Axis.ZOOM ? step : 0,
                millis,
                until);
    }

    /** Twice what it takes at that speed, and time to gather it. */
    public static long millis(double way, double perSecond) {
        return Math.round(2000 * way / perSecond) + 1000;
    }

    /**
     * How it came to stand.
     *
     * @param millis after the stop
     * @param allowed that it may take
     */
    public record Stood(int millis, int allowed) {}

    /** Two readings apart that agree; the first of them is when it stood. */
    public Stood standing(Axis axis, double speed) {
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
    public void to(Axis axis, int target) {
        double unit = axis == Axis.ZOOM ? ZoomPosition.TELE : counts;
        double near = axis == Axis.ZOOM ? ZoomPosition.TELE / 200.0 : NEAR_DEGREES * counts;
        SpeedScale scale =
                switch (axis) {
                    case PAN -> head.pan();
                    case TILT -> head.tilt();
                    case ZOOM -> head.zoom();
                };
        for (int i = 0; i < MOST_TRIES; i++) {
            int error = target - reading.now(axis);
            if (Math.abs(error) <= near) {
                return;
            }
            int way = Integer.signum(error);
            double left = Math.abs(error) / unit;
            int step = Math.max(1, TestStep.step(scale, left) - i);
            double goesOn = axis == Axis.ZOOM ? near / 2 : goesOn(scale.at(step)) * unit;
            HeadReading.Following following = reading.new Following(axis);
            hold(
                    axis,
                    way * step,
                    millis(left, scale.at(step)),
                    () -> following.is(at -> way * (target - at) <= Math.max(near / 2, goesOn)));
            standing(axis, scale.at(step));
        }
    }

    /** Degrees after it is let go. */
    private double goesOn(double speed) {
        double braking = head.acceleration().orElse(SoftLimits.USUAL_BRAKING);
        return Moves.late(speed, DELAY_SECONDS) + Moves.braking(speed, braking);
    }
}
