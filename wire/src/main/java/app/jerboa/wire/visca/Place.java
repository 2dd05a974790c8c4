package app.jerboa.wire.visca;

/**
 * A value in a message.
 *
 * @param letter in the template
 * @param name for the wire log
 * @param least inclusive; below 0 for a signed value, which is sent as its two's complement
 * @param most inclusive
 */
record Place(char letter, String name, int least, int most) {
    Place {
        if (least > most) {
            throw new IllegalArgumentException(name + " runs from " + least + " to " + most);
        }
    }

    boolean takes(int value) {
        return value >= least && value <= most;
    }

    /**
     * @param bits of its place in the template
     */
    int onWire(int value, int bits) {
        return value & (int) ((1L << bits) - 1);
    }

    int fromWire(int wire, int bits) {
        boolean negative = least < 0 && (wire >> (bits - 1) & 1) == 1;
        return negative ? wire - (int) (1L << bits) : wire;
    }
}
