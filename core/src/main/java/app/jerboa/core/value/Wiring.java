package app.jerboa.core.value;

import java.util.List;

/** The words that jobs store about leads. */
public final class Wiring {
    /** What is laid between two sockets. */
    public static final List<String> CABLES =
            List.of(
                    "data",
                    "pair",
                    "serial",
                    "dc",
                    "coax-rg6",
                    "coax-rg59",
                    "coax-mini",
                    "hdmi",
                    "hdmi-active",
                    "usb-2",
                    "usb-3",
                    "usb-extender",
                    "fibre",
                    "multicore",
                    "audio");

    /**
     * How an end is made: by TIA-568, straight through, or which terminal the first lead is screwed
     * to.
     */
    public static final List<String> PINS =
            List.of("t568a", "t568b", "straight", "cascade", "first-to-plus", "first-to-minus");

    /** Data bits, parity and stop bits. */
    public static final List<String> FRAMINGS = List.of("8N1", "8E1", "8O1", "8N2", "7E1", "7O1");

    /**
     * American wire gauges that the table of resistances knows ({@code Copper}), thickest first.
     */
    public static final List<String> GAUGES =
            List.of("12", "14", "16", "18", "20", "22", "23", "24", "26", "28");

    private Wiring() {}
}
