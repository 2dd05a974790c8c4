package app.jerboa.standin.device;

import app.jerboa.core.knob.TurnedRound;
import app.jerboa.core.profile.Head;
import java.util.Optional;

/**
 * Which way pan and tilt go on the wire: 1 as the head was built, -1 where the camera was told that
 * it hangs the other way. Speeds, places and limits are all turned round together.
 */
record Sense(int pan, int tilt) {
    static Sense of(Optional<TurnedRound> turned) {
        return new Sense(
                turned.filter(TurnedRound::pan).isPresent() ? -1 : 1,
                turned.filter(TurnedRound::tilt).isPresent() ? -1 : 1);
    }

    /**
     * It goes no further than that from now on.
     *
     * @param upRight that is the upper right corner as it is said; else the lower left one
     * @param panDegrees as it is said
     */
    Head within(Head facts, boolean upRight, double panDegrees, double tiltDegrees) {
        boolean right = upRight == pan > 0;
        boolean up = upRight == tilt > 0;
        double p = pan * panDegrees;
        double t = tilt * tiltDegrees;
        return facts.within(
                right ? facts.panLeftDegrees() : p,
                right ? p : facts.panRightDegrees(),
                up ? facts.tiltDownDegrees() : t,
                up ? t : facts.tiltUpDegrees());
    }
}
