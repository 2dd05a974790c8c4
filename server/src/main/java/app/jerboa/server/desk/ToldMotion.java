package app.jerboa.server.desk;

import app.jerboa.wire.link.session.HeadLink;
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
            if (told.byItself() || !motion.drivesLike(told)) {
                camera.link().drive(motion.pan(), motion.tilt());
            }
            if (motion.zoom() != told.zoom()) {
                camera.link().zoom(motion.zoom());
            }
            if (motion.focus() != told.focus()) {
                camera.link().focus(motion.focus());
            }
        }
        told = motion;
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
