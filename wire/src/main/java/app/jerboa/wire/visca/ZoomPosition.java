package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;

/** A zoom position: 0 is wide, {@value #TELE} the optical far end unless a profile says other. */
public record ZoomPosition(int counts) {
    public static final int TELE = 0x4000;

    public ZoomPosition {
        if (counts < 0 || counts > 0xFFFF) {
            throw new IllegalArgumentException("a zoom position has 16 bits, got " + counts);
        }
    }

    public ViscaReply.Answer answer() {
        return new ViscaReply.Answer(Nibbles.encode(counts));
    }

    public static Decoded<ZoomPosition> decode(Octets payload) {
        return payload.size() == 4 && Nibbles.are(payload)
                ? Decoded.accepted(new ZoomPosition(Nibbles.decode(payload)))
                : Decoded.rejected(payload, "a zoom position has 4 nibbles");
    }
}
