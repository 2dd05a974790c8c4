package app.jerboa.core.shot;

import app.jerboa.core.motion.Moves;

/** How fast a camera goes from one view to another, in degrees and seconds; all above 0. */
public record ShotCamera(double panTop, double panAccel, double tiltTop, double tiltAccel) {
    /** Seconds for pan and tilt together: the longer of the two. */
    double travel(ShotPreset from, ShotPreset to) {
        return Math.max(
                Moves.seconds(Math.abs(to.pan() - from.pan()), panTop, panAccel),
                Moves.seconds(Math.abs(to.tilt() - from.tilt()), tiltTop, tiltAccel));
    }
}
