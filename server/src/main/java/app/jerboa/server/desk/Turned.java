package app.jerboa.server.desk;

import app.jerboa.core.job.Steering;
import app.jerboa.core.motion.Push;

/**
 * Which axes a stick turns the other way, for a head that hangs so that its picture would go the
 * wrong way. Set here or at the camera, never at both: twice turned is not turned.
 */
record Turned(boolean pan, boolean tilt) {
    static final Turned NOT = new Turned(false, false);

    static Turned of(Steering steering) {
        return new Turned(steering.panRound(), steering.tiltRound());
    }

    Push of(Push push) {
        return new Push(
                pan ? -push.pan() : push.pan(),
                tilt ? -push.tilt() : push.tilt(),
                push.zoom(),
                push.focus(),
                push.roll(),
                push.rail());
    }
}
