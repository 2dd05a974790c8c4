package app.jerboa.core.profile;

import java.util.Arrays;
import java.util.List;

/** What is laid between two sockets, with the gauges it is sold in; the usual one first. */
public enum Cable {
    DATA("data", 24, 22, 23, 26),
    PAIR("pair", 22, 18, 20, 24),
    SERIAL("serial"),
    DC("dc", 16, 12, 14, 18, 20),
    COAX_RG6("coax-rg6"),
    COAX_RG59("coax-rg59"),
    COAX_MINI("coax-mini"),
    HDMI("hdmi"),
    HDMI_ACTIVE("hdmi-active"),
    USB_2("usb-2"),
    USB_3("usb-3"),
    USB_EXTENDER("usb-extender"),
    FIBRE("fibre"),
    MULTICORE("multicore"),
    AUDIO("audio");

    private final String word;

    // A copied list: it does not change.
    @SuppressWarnings("ImmutableEnumChecker")
    private final List<Integer> gauges;

    Cable(String word, Integer... gauges) {
        this.word = word;
        this.gauges = List.of(gauges);
    }

    /**
     * @param word as jobs store it
     * @throws IllegalArgumentException for any other
     */
    public static Cable of(String word) {
        return Arrays.stream(values())
                .filter(c -> c.word.equals(word))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no cable is called " + word));
    }

    /** American wire gauges, thickest first; empty for what is not chosen by gauge. */
    public List<Integer> gauges() {
        return gauges.stream().sorted().toList();
    }

    /** 0 for what is not chosen by gauge. */
    public int usualGauge() {
        return gauges.isEmpty() ? 0 : gauges.get(0);
    }

    /** Its copper can carry power. */
    public boolean powers() {
        return !gauges.isEmpty();
    }

    @Override
    public String toString() {
        return word;
    }
}
