package app.jerboa.server.desk;

import app.jerboa.core.motion.StickSpeeds;
import java.util.OptionalInt;

/**
 * What a head is told: speed steps of its protocol, or a place that it goes to by itself.
 *
 * @param place where it goes by itself; {@link #NOWHERE} when it is driven
 * @param speed step of its way there; empty for as the camera stands
 */
record Motion(StickSpeeds.Steps steps, int place, OptionalInt speed) {
    static final int NOWHERE = -1;
    private static final int AT_HOME = -2;

    static final Motion NONE = of(StickSpeeds.Steps.NONE);
    static final Motion HOME = recall(AT_HOME, OptionalInt.empty());

    /**
     * @param preset as the camera calls it, from 0
     */
    static Motion recall(int preset, OptionalInt speed) {
        return new Motion(StickSpeeds.Steps.NONE, preset, speed);
    }

    static Motion of(StickSpeeds.Steps steps) {
        return new Motion(steps, NOWHERE, OptionalInt.empty());
    }

    boolean stands() {
        return equals(NONE);
    }

    boolean home() {
        return place == AT_HOME;
    }

    /** It ends by itself, where it goes. */
    boolean byItself() {
        return place != NOWHERE;
    }

    /** It goes only as long as a page says so. */
    boolean byHand() {
        return !byItself() && !stands();
    }

    boolean drivesLike(Motion other) {
        return steps.pan() == other.steps.pan() && steps.tilt() == other.steps.tilt();
    }
}
