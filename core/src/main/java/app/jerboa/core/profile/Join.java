package app.jerboa.core.profile;

/** What a port is for a plug. */
public enum Join {
    ETHERNET,
    CONSOLE,
    SDI_IN,
    SDI_OUT,
    HDMI_IN,
    HDMI_OUT,
    COMPOSITE_OUT,
    USB_DEVICE,
    USB_HOST,
    RS_232_IN,
    RS_232_OUT,
    RS_422,
    RS_485,
    AUDIO_IN,
    AUDIO_OUT,
    DC_IN,
    DC_OUT,
    MAINS_IN,
    MULTICORE,
    FIBRE,
    REFERENCE_IN,
    TALLY,
    LENS,
    CARD,
    COMPOSITE_IN;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
