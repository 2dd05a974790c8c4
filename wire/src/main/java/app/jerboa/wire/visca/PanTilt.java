package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;

/**
 * A pan-tilt position in the camera's counts, signed 20 bit each. Most cameras tell the lower 16 of
 * them, in four nibbles each; some that count finer tell five of pan, or of both.
 */
public record PanTilt(int pan, int tilt) {
    private static final int FEW = 4;
    private static final int MANY = 5;
    private static final int HIGHEST = (1 << 4 * MANY - 1) - 1;

    public PanTilt {
        if (Math.abs((long) pan) > HIGHEST + 1L || Math.abs((long) tilt) > HIGHEST + 1L) {
            throw new IllegalArgumentException("positions have 20 bits, got " + pan + ", " + tilt);
        }
    }

    /**
     * In four nibbles each.
     *
     * @throws IllegalArgumentException for a position of more than 16 bits
     */
    public ViscaReply.Answer answer() {
        if (pan != (short) pan || tilt != (short) tilt) {
            throw new IllegalArgumentException("more than 16 bits: " + pan + ", " + tilt);
        }
        return answer(FEW);
    }

    /** In five nibbles each, as a camera that counts finer tells it. */
    public ViscaReply.Answer longAnswer() {
        return answer(MANY);
    }

    private ViscaReply.Answer answer(int nibbles) {
        return new ViscaReply.Answer(
                Nibbles.encode(pan, nibbles).plus(Nibbles.encode(tilt, nibbles)));
    }

    /** An answer of this length may be one. */
    static boolean fits(Octets payload) {
        return payload.size() >= 2 * FEW && payload.size() <= 2 * MANY;
    }

    /** Of eight, nine (five of them of pan) or ten nibbles. */
    public static Decoded<PanTilt> decode(Octets payload) {
        if (!fits(payload) || !Nibbles.are(payload)) {
            return Decoded.rejected(payload, "a pan-tilt position has 8 to 10 nibbles");
        }
        int ofPan = payload.size() - payload.size() / 2;
        return Decoded.accepted(
                new PanTilt(
                        Nibbles.signed(payload.slice(0, ofPan)),
                        Nibbles.signed(payload.slice(ofPan, payload.size()))));
    }
}
