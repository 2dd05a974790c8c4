package app.jerboa.core.profile;

import app.jerboa.core.motion.Lens;
import app.jerboa.core.motion.SpeedScale;
import app.jerboa.core.value.Fact;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A motorised head.
 *
 * @param countsPerDegree what one degree is in position replies
 * @param pan degrees per second by VISCA step 1 to 24
 * @param tilt degrees per second by VISCA step 1 to 20
 * @param zoom share of the zoom range per second by VISCA speed 0 to 7, counted as steps 1 to 8
 * @param acceleration of pan and tilt, up and down alike; empty where it is not known
 * @param lens built in, or the usual one
 * @param payloadKg what it may carry; empty when the camera is built in
 * @param turns how far it may pan before its leads wrap
 */
public record Head(
        @Fact(value = "Counts per degree", least = 0.1, most = 10000) double countsPerDegree,
        @Fact(value = "Pan left", unit = "°", least = -720, most = 0) double panLeftDegrees,
        @Fact(value = "Pan right", unit = "°", most = 720) double panRightDegrees,
        @Fact(value = "Tilt down", unit = "°", least = -180, most = 0) double tiltDownDegrees,
        @Fact(value = "Tilt up", unit = "°", most = 210) double tiltUpDegrees,
        @Fact(value = "Pan speed", unit = "°/s") SpeedScale pan,
        @Fact(value = "Tilt speed", unit = "°/s") SpeedScale tilt,
        @Fact(value = "Zoom speed", unit = "of its range/s") SpeedScale zoom,
        @Fact(value = "Gathers speed by", unit = "°/s²", least = 1, most = 5000)
                OptionalDouble acceleration,
        @Fact("Lens") Lens lens,
        @Fact("Roll") Optional<Axis> roll,
        @Fact("Rail") Optional<Axis> rail,
        @Fact(value = "Payload", unit = "kg", most = 50) OptionalDouble payloadKg,
        @Fact(value = "Tilt torque", unit = "Nm", most = 100) OptionalDouble torqueNm,
        @Fact(value = "Turns before the leads wrap", most = 20) OptionalDouble turns,
        @Fact("Can hang upside down") boolean inverts) {

    /** The same head that goes no further than this, in degrees, as limits set at it do. */
    public Head within(double left, double right, double down, double up) {
        return new Head(
                countsPerDegree,
                Math.max(panLeftDegrees, left),
                Math.min(panRightDegrees, right),
                Math.max(tiltDownDegrees, down),
                Math.min(tiltUpDegrees, up),
                pan,
                tilt,
                zoom,
                acceleration,
                lens,
                roll,
                rail,
                payloadKg,
                torqueNm,
                turns,
                inverts);
    }
}
