package app.jerboa.core.serial;

/** How far serial lines reach, in metres, and what a bus carries. */
public final class SerialReach {
    /** Of RS-232, guaranteed. */
    public static final double RS_232_SURE = 15;

    /** The most capacitance an RS-232 driver is made for, in pF, by TIA-232-F. */
    private static final double MOST_PICOFARAD = 2500;

    /** Of usual cable, in pF a metre. */
    private static final double USUAL_PICOFARAD = 100;

    /** Of RS-422 point to point at 90 kbit/s or less, by TIA-422-B. */
    public static final double RS_422 = 1200;

    /** Of an RS-485 bus from end to end, by TIA-485-A. */
    public static final double RS_485 = 1200;

    /** Receivers on an RS-485 bus, in unit loads. */
    public static final double UNIT_LOADS = 32;

    /** Cameras on a VISCA chain: addresses 1 to 7. */
    public static final int CHAIN = 7;

    private SerialReach() {}

    /** What RS-232 is likely to reach at 9600 baud. */
    public static double rs232Likely() {
        return MOST_PICOFARAD / USUAL_PICOFARAD;
    }
}
