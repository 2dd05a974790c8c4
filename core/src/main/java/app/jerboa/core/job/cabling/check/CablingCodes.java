package app.jerboa.core.job.cabling.check;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks in this package. */
public final class CablingCodes {
    public static final FindingCode TWICE = new FindingCode("PORT-TWICE", STOP, Discipline.CABLING);
    public static final FindingCode KIND = new FindingCode("PORT-KIND", STOP, Discipline.CABLING);
    public static final FindingCode CONSOLE =
            new FindingCode("PORT-CONSOLE", STOP, Discipline.CABLING);
    public static final FindingCode PINS = new FindingCode("CABLE-PINS", STOP, Discipline.CABLING);

    /** Something of the plan that no run carries yet. */
    public static final FindingCode OPEN = new FindingCode("CABLE-OPEN", NOTE, Discipline.CABLING);

    /** Runs under the open sky. */
    public static final FindingCode OUTDOOR =
            new FindingCode("CABLE-OUTDOOR", NOTE, Discipline.CABLING);

    public static final FindingCode BUDGET = new FindingCode("POE-BUDGET", STOP, Discipline.POWER);
    public static final FindingCode HEADROOM =
            new FindingCode("POE-HEADROOM", WARN, Discipline.POWER);
    public static final FindingCode CLASS = new FindingCode("POE-CLASS", STOP, Discipline.POWER);
    public static final FindingCode RESERVE =
            new FindingCode("POE-RESERVE", WARN, Discipline.POWER);
    public static final FindingCode NONE = new FindingCode("POE-NONE", STOP, Discipline.POWER);
    public static final FindingCode POE_DROP = new FindingCode("POE-DROP", STOP, Discipline.POWER);
    public static final FindingCode CLAD = new FindingCode("POE-CLAD", STOP, Discipline.POWER);
    public static final FindingCode PASSIVE =
            new FindingCode("POE-PASSIVE", STOP, Discipline.POWER);

    public static final FindingCode DC_DROP = new FindingCode("DC-DROP", STOP, Discipline.POWER);

    /** More volts than the device is made for. */
    public static final FindingCode DC_OVER = new FindingCode("DC-OVER", STOP, Discipline.POWER);

    /** More watts than the supply gives. */
    public static final FindingCode DC_BUDGET =
            new FindingCode("DC-BUDGET", STOP, Discipline.POWER);

    public static final FindingCode DC_POLARITY =
            new FindingCode("DC-POLARITY", NOTE, Discipline.POWER);

    /** A multicore longer than its power reaches. */
    public static final FindingCode DC_MULTICORE =
            new FindingCode("DC-MULTICORE", WARN, Discipline.POWER);

    public static final FindingCode SETTING =
            new FindingCode("SER-SETTING", STOP, Discipline.SERIAL);
    public static final FindingCode LENGTH = new FindingCode("SER-LENGTH", STOP, Discipline.SERIAL);
    public static final FindingCode LENGTH_LIKELY =
            new FindingCode("SER-LENGTH", WARN, Discipline.SERIAL);
    public static final FindingCode POLARITY =
            new FindingCode("SER-POLARITY", STOP, Discipline.SERIAL);
    public static final FindingCode TERMINATORS =
            new FindingCode("SER-TERM", WARN, Discipline.SERIAL);
    public static final FindingCode LOAD = new FindingCode("SER-LOAD", STOP, Discipline.SERIAL);
    public static final FindingCode DIRECTION =
            new FindingCode("SER-DIRECTION", STOP, Discipline.SERIAL);
    public static final FindingCode RATE = new FindingCode("SER-RATE", WARN, Discipline.SERIAL);
    public static final FindingCode SUBSCRIBE =
            new FindingCode("SER-SUBSCRIBE", STOP, Discipline.SERIAL);

    /** Cameras of a chain whose IDs do not follow the order of the leads. */
    public static final FindingCode ORDER = new FindingCode("SER-ORDER", WARN, Discipline.SERIAL);

    public static final FindingCode PICTURE_LENGTH =
            new FindingCode("VID-LENGTH", STOP, Discipline.VIDEO);
    public static final FindingCode USB_BANDWIDTH =
            new FindingCode("USB-BANDWIDTH", STOP, Discipline.USB);
    public static final FindingCode USB_LENGTH =
            new FindingCode("USB-LENGTH", STOP, Discipline.USB);
    public static final FindingCode UPLINK =
            new FindingCode("NET-UPLINK", WARN, Discipline.NETWORK);

    /** Copper of the network beyond 100 m. */
    public static final FindingCode NET_LENGTH =
            new FindingCode("NET-LENGTH", STOP, Discipline.NETWORK);

    public static final List<FindingCode> ALL =
            List.of(
                    TWICE,
                    KIND,
                    CONSOLE,
                    PINS,
                    OPEN,
                    OUTDOOR,
                    BUDGET,
                    HEADROOM,
                    CLASS,
                    RESERVE,
                    NONE,
                    POE_DROP,
                    CLAD,
                    PASSIVE,
                    DC_DROP,
                    DC_OVER,
                    DC_BUDGET,
                    DC_POLARITY,
                    DC_MULTICORE,
                    SETTING,
                    LENGTH,
                    LENGTH_LIKELY,
                    POLARITY,
                    TERMINATORS,
                    LOAD,
                    DIRECTION,
                    RATE,
                    SUBSCRIBE,
                    ORDER,
                    PICTURE_LENGTH,
                    USB_BANDWIDTH,
                    USB_LENGTH,
                    UPLINK,
                    NET_LENGTH);

    private CablingCodes() {}
}
