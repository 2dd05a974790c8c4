package app.jerboa.server.desk;

import app.jerboa.wire.visca.PanTilt;
import java.util.function.LongSupplier;

/**
 * What a head was told last: only what changes is told again. Whoever holds the desk's lock calls
 * it.
 */
final class ToldMotion {
    /** A head sent home may take so long to begin. */
    private static final long HOME_BEGINS_NANOS = 500_000_000L;

    private final LongSupplier clock;
    private Motion told = Motion.NONE;
    private long homeSince;
    private PanTilt lastSeen;

    ToldMotion(LongSupplier clock) {
        this.clock = clock;
    }

    Motion now() {
        return told;
    }

    void tell(CameraLink camera, Motion motion) {
        if (motion.home()) {
            homeSince = clock.getAsLong();
            lastSeen = null;
            camera.link().home();
        } else {
            if (told.home() || !motion.drivesLike(told)) {
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

    /**
     * The camera says where it points.
     *
     * @return it was sent home and has arrived: it stays where it is
     */
    boolean isHome(PanTilt at) {
        boolean rests = at.equals(lastSeen) && clock.getAsLong() - homeSince > HOME_BEGINS_NANOS;
        lastSeen = at;
        return told.home() && rests;
    }
}
