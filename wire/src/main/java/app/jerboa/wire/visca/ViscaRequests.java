package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Decoding of requests. A stopped axis may carry any speed and the zoom has two spellings on the
 * wire; all else must be exact.
 */
final class ViscaRequests {
    /** By their octets. */
    private static final Map<Octets, ViscaRequest> FIXED =
            Stream.of(
                            new ViscaRequest.Home(),
                            new ViscaRequest.Clear(),
                            new ViscaRequest.AskVersion(),
                            new ViscaRequest.AskPanTilt(),
                            new ViscaRequest.AskZoom())
                    .collect(Collectors.toUnmodifiableMap(ViscaRequest::body, r -> r));

    private ViscaRequests() {}

    static void insist(String what, int step, int most) {
        if (Math.abs(step) > most) {
            throw new IllegalArgumentException(
                    what + " must be -" + most + " to " + most + ", got " + step);
        }
    }

    /**
     * The octet that a frame to a camera starts with.
     *
     * @param camera 1 to 7, or 8 for all
     */
    static int start(int camera) {
        if (camera < 1 || camera > 8) {
            throw new IllegalArgumentException(
                    "a VISCA address is 1 to 7, or 8 for all, got " + camera);
        }
        return 0x80 | camera;
    }

    static Decoded<ViscaRequest.Addressed> decode(Octets frame) {
        if (frame.size() < 3 || frame.size() > ViscaFramer.LONGEST) {
            return Decoded.rejected(frame, "a frame has 3 to 16 octets, got " + frame.size());
        }
        int camera = frame.at(0) & 0x0F;
        boolean fromController = (frame.at(0) & 0xF0) == 0x80 && camera >= 1 && camera <= 8;
        if (!fromController || frame.at(frame.size() - 1) != ViscaFramer.END) {
            return Decoded.rejected(frame, "not a frame from a controller");
        }
        // The commonest first, and without a copy: a stick sends it twenty times a second.
        if (isDrive(frame)) {
            return Decoded.accepted(new ViscaRequest.Addressed(camera, drive(frame)));
        }
        Octets body = frame.slice(1, frame.size() - 1);
        return fixed(body)
                .or(() -> zoom(body))
                .or(() -> ViscaMessage.decode(body))
                .map(r -> Decoded.accepted(new ViscaRequest.Addressed(camera, r)))
                .orElseGet(() -> Decoded.rejected(frame, "no message known by these octets"));
    }

    private static Optional<ViscaRequest> fixed(Octets body) {
        return Optional.ofNullable(FIXED.get(body));
    }

    private static boolean isDrive(Octets frame) {
        return frame.size() == 9
                && frame.at(1) == 0x01
                && frame.at(2) == 0x06
                && frame.at(3) == 0x01
                && within(frame.at(4), 1, ViscaRequest.PAN_STEPS)
                && within(frame.at(5), 1, ViscaRequest.TILT_STEPS)
                && within(frame.at(6), 1, 3)
                && within(frame.at(7), 1, 3);
    }

    private static ViscaRequest drive(Octets frame) {
        int pan = frame.at(6) == 1 ? -frame.at(4) : frame.at(6) == 2 ? frame.at(4) : 0;
        int tilt = frame.at(7) == 2 ? -frame.at(5) : frame.at(7) == 1 ? frame.at(5) : 0;
        return new ViscaRequest.Drive(pan, tilt);
    }

    private static Optional<ViscaRequest> zoom(Octets body) {
        if (body.size() != 4 || !startsWith(body, 0x01, 0x04, 0x07)) {
            return Optional.empty();
        }
        int p = body.at(3);
        // The two fixed speeds of the standard are read as the middle of the variable ones.
        int speed =
                switch (p & 0xF0) {
                    case 0x00 -> p == 0x02 ? 4 : p == 0x03 ? -4 : p == 0x00 ? 0 : 99;
                    case 0x20 -> (p & 0x0F) + 1;
                    case 0x30 -> -(p & 0x0F) - 1;
                    default -> 99;
                };
        return Math.abs(speed) > ViscaRequest.ZOOM_STEPS
                ? Optional.empty()
                : Optional.of(new ViscaRequest.Zoom(speed));
    }

    private static boolean startsWith(Octets body, int... octets) {
        for (int i = 0; i < octets.length; i++) {
            if (body.at(i) != octets[i]) {
                return false;
            }
        }
        return true;
    }

    private static boolean within(int value, int low, int high) {
        return value >= low && value <= high;
    }
}
