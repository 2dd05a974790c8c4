package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Octets;

/** Bits as octets of four bits each, the way VISCA sends positions: mostly 16 as four of them. */
final class Nibbles {
    private static final int BITS = 4;

    private Nibbles() {}

    static Octets encode(int value) {
        return encode(value, BITS);
    }

    /** The lower bits, in so many nibbles. */
    static Octets encode(int value, int nibbles) {
        int[] all = new int[nibbles];
        for (int i = 0; i < nibbles; i++) {
            all[i] = value >> BITS * (nibbles - 1 - i) & 0xF;
        }
        return Octets.of(all);
    }

    static int decode(Octets nibbles) {
        int value = 0;
        for (int i = 0; i < nibbles.size(); i++) {
            value = value << BITS | nibbles.at(i);
        }
        return value;
    }

    /** Two's complement, the highest bit of the first nibble its sign. */
    static int signed(Octets nibbles) {
        int above = Integer.SIZE - BITS * nibbles.size();
        return decode(nibbles) << above >> above;
    }

    static boolean are(Octets octets) {
        for (int i = 0; i < octets.size(); i++) {
            if (octets.at(i) > 0xF) {
                return false;
            }
        }
        return true;
    }
}
