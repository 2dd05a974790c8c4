package app.jerboa.core.net;

/**
 * Which block of a subnet a device belongs in. Offsets are host numbers in a /24, a habit of ours.
 */
public enum AddressRole {
    INFRASTRUCTURE(2, 9),
    CONTROLLER(11, 19),
    CAMERA(21, 60),
    VIDEO(61, 79),
    COMPUTER(81, 99);

    private final int firstOffset;
    private final int lastOffset;

    AddressRole(int firstOffset, int lastOffset) {
        this.firstOffset = firstOffset;
        this.lastOffset = lastOffset;
    }

    int firstOffset() {
        return firstOffset;
    }

    int lastOffset() {
        return lastOffset;
    }
}
