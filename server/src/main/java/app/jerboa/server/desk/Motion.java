package app.jerboa.server.desk;

import app.jerboa.core.motion.StickSpeeds;

/** What a head is told: speed steps of its protocol, or home. */
record Motion(int pan, int tilt, int zoom, int focus, boolean home) {
    static final Motion NONE = new Motion(0, 0, 0, 0, false);
    static final Motion HOME = new Motion(0, 0, 0, 0, true);

    static Motion of(StickSpeeds.Steps steps) {
        return new Motion(steps.pan(), steps.tilt(), steps.zoom(), steps.focus(), false);
    }

    boolean stands() {
        return equals(NONE);
    }

    /** It goes only as long as a page says so. */
    boolean byHand() {
        return !home && !stands();
    }

    boolean drivesLike(Motion other) {
        return pan == other.pan && tilt == other.tilt;
    }
}
