package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;

/** A pan-tilt position in the camera's counts, signed 16 bit each. */
public record PanTilt(int pan, int tilt) {
    public PanTilt {
        if (pan != (short) pan || tilt != (short) tilt) {
            throw new IllegalArgumentException("positions have 16 bits, got " + pan + ", " + tilt);
        }
    }

    public ViscaReply.Answer answer() {
        return new ViscaReply.Answer(
                Nibbles.encode(pan & 0xFFFF).plus(Nibbles.encode(tilt & 0xFFFF)));
    }

    public static Decoded<PanTilt> decode(Octets payload) {
        return payload.size() == 8 && Nibbles.are(payload)
                ? Decoded.accepted(
                        new PanTilt(
                                (short) Nibbles.decode(payload.slice(0, 4)),
                                (short) Nibbles.decode(payload.slice(4, 8))))
                : Decoded.rejected(payload, "a pan-tilt position has 8 nibbles");
    }
}
