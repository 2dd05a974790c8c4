package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Octets;

/** 16 bits as four octets of four bits each, the way VISCA sends positions. */
final class Nibbles {
    private Nibbles() {}

    static Octets encode(int value) {
        return Octets.of(value >> 12 & 0xF, value >> 8 & 0xF, value >> 4 & 0xF, value & 0xF);
    }

    static int decode(Octets four) {
        return four.at(0) << 12 | four.at(1) << 8 | four.at(2) << 4 | four.at(3);
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
