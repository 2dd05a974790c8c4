package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.FrameTemplate;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How an axis beside pan and tilt is driven and asked, by the frames of a profile.
 *
 * @param steps speeds each way
 * @param drive its value is {@code steps} plus the signed step
 * @param asked empty for an axis that tells nothing back
 */
public record AxisFrames(int steps, FrameTemplate drive, Optional<Asked> asked) {
    /**
     * @param answer its value has its zero in the middle of its range
     */
    public record Asked(FrameTemplate ask, FrameTemplate answer) {
        /** Counts, signed; empty for what is no such answer. */
        public OptionalInt read(Octets payload) {
            OptionalInt value = answer.read(payload);
            return value.isPresent()
                    ? OptionalInt.of(value.getAsInt() - (1 << answer.valueBits() - 1))
                    : value;
        }

        /** The answer of an axis that stands at these counts. */
        public Octets fill(int counts) {
            return answer.fill(counts + (1 << answer.valueBits() - 1));
        }
    }

    /**
     * @param drive as a profile writes it; {@code ask} and {@code answer} alike, blank for none
     */
    public static AxisFrames of(int steps, String drive, String ask, String answer) {
        Optional<Asked> asked =
                ask.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                new Asked(
                                        FrameTemplate.request(ask), FrameTemplate.answer(answer)));
        return new AxisFrames(steps, FrameTemplate.request(drive), asked);
    }

    /**
     * @param step signed; 0 stops
     */
    ViscaRequest.Raw request(int step) {
        return new ViscaRequest.Raw(drive.fill(steps + step), OptionalInt.empty(), step == 0);
    }

    /** The step that a frame drives it by; empty for another frame. */
    public OptionalInt step(Octets body) {
        OptionalInt value = drive.read(body);
        return value.isPresent() && value.getAsInt() <= 2 * steps
                ? OptionalInt.of(value.getAsInt() - steps)
                : OptionalInt.empty();
    }
}
