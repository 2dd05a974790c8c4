package app.jerboa.core.serial;

/** How often a serial line can tell its cameras something new, one command after the other. */
public final class SerialTiming {
    /** A command of 9 octets, its acknowledgement and its completion of 3 each. */
    private static final int OCTETS = 15;

    /** A command of the D protocol, which is never answered. */
    private static final int SILENT_OCTETS = 7;

    private SerialTiming() {}

    /** Updates a second of the D protocol, for all cameras on the bus together. */
    public static double silentUpdatesPerSecond(int baud, int bitsPerCharacter) {
        return (double) baud / (SILENT_OCTETS * bitsPerCharacter);
    }

    /**
     * Updates a second on a VISCA line, for all cameras on it together.
     *
     * @param baud above 0
     * @param bitsPerCharacter with start, parity and stop bits: 10 for 8N1
     */
    public static double updatesPerSecond(int baud, int bitsPerCharacter) {
        return (double) baud / (OCTETS * bitsPerCharacter);
    }
}
