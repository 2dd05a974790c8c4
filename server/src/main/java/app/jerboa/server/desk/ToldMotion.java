package app.jerboa.server.desk;

import app.jerboa.core.motion.StickSpeeds;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.MoreAxis;
import java.util.function.LongSupplier;

/**
 * What a head was told last: only what changes is told again. Whoever holds the desk's lock calls
 * it.
 */
final class ToldMotion {
    /** A head that goes somewhere by itself may take so long to begin. */
    private static final long BEGINS_NANOS = 500_000_000L;

    private final LongSupplier clock;
    private Motion told = Motion.NONE;
    private long goesSince;
    private Pointing lastSeen;

    ToldMotion(LongSupplier clock) {
        this.clock = clock;
    }

    Motion now() {
        return told;
    }

    void tell(CameraLink camera, Motion motion) {
        if (motion.byItself()) {
            goesSince = clock.getAsLong();
            lastSeen = null;
            go(camera.link(), motion);
        } else {
            drive(camera.link(), motion);
        }
        told = motion;
    }

    private void drive(HeadLink link, Motion motion) {
        StickSpeeds.Steps next = motion.steps();
        StickSpeeds.Steps before = told.steps();
        if (told.byItself() || !motion.drivesLike(told)) {
            link.drive(next.pan(), next.tilt());
        }
        if (next.roll() != before.roll()) {
            link.axis(MoreAxis.ROLL, next.roll());
        }
        if (next.rail() != before.rail()) {
            link.axis(MoreAxis.RAIL, next.rail());
        }
        if (next.zoom() != before.zoom()) {
            link.zoom(next.zoom());
        }
        if (next.focus() != before.focus()) {
            link.focus(next.focus());
        }
    }

    /** It stands, or is being stopped. */
    void stand() {
        told = Motion.NONE;
    }

    private static void go(HeadLink link, Motion motion) {
        if (motion.home()) {
            link.home();
        } else {
            link.recall(motion.place(), motion.speed());
        }
    }

    /**
     * The camera says where it points and how far it is zoomed.
     *
     * @return it went there by itself and has arrived: it stays as it is
     */
    boolean isThere(Pointing where) {
        boolean rests = where.equals(lastSeen) && clock.getAsLong() - goesSince > BEGINS_NANOS;
        lastSeen = where;
        return told.byItself() && rests;
    }
}
