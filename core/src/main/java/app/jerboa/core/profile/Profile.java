package app.jerboa.core.profile;

import app.jerboa.core.motion.Lens;
import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.net.FactoryAddress;
import java.util.Optional;

/**
 * One model's facts.
 *
 * @param id stable, lower case, for example {@code ceiling-ptz}
 * @param name plain, by kind
 * @param factory the address it starts on, if it has a fixed one
 * @param bootSeconds from power to answering, by the profile
 * @param keys what it offers if it is a controller
 * @param head how it moves if it is a camera on a motorised head
 */
public record Profile(
        String id,
        String name,
        DeviceKind kind,
        Optional<FactoryAddress> factory,
        int bootSeconds,
        Optional<Keys> keys,
        Optional<Head> head) {

    /**
     * A controller's camera keys.
     *
     * @param counting it finds cameras by counting up from the first key's address
     * @param lastOctetOnly and only in the last octet
     */
    public record Keys(int count, int first, boolean counting, boolean lastOctetOnly) {}

    /**
     * A motorised head that speaks VISCA over IP.
     *
     * @param headerPort UDP port of the form with a header, 52381 by the protocol
     * @param rawPort UDP port of bare frames, 1259 is usual
     * @param countsPerDegree what one degree is in position replies
     * @param pan degrees per second by VISCA step 1 to 24
     * @param tilt degrees per second by VISCA step 1 to 20
     * @param zoom share of the zoom range per second by VISCA speed 0 to 7, counted as steps 1 to 8
     */
    public record Head(
            int headerPort,
            int rawPort,
            double countsPerDegree,
            double panLeftDegrees,
            double panRightDegrees,
            double tiltDownDegrees,
            double tiltUpDegrees,
            SpeedScale pan,
            SpeedScale tilt,
            SpeedScale zoom,
            Lens lens) {}
}
