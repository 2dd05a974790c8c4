package app.jerboa.core.profile;

/** What a port is for a plug. */
public enum Join {
    ETHERNET(Signal.NETWORK, Flow.BOTH),
    CONSOLE(Signal.NONE, Flow.BOTH),
    SDI_IN(Signal.SDI, Flow.IN),
    SDI_OUT(Signal.SDI, Flow.OUT),
    HDMI_IN(Signal.HDMI, Flow.IN),
    HDMI_OUT(Signal.HDMI, Flow.OUT),
    COMPOSITE_OUT(Signal.COMPOSITE, Flow.OUT),
    /** The side of the camera or pad; pictures and presses go out of it. */
    USB_DEVICE(Signal.USB, Flow.OUT),
    USB_HOST(Signal.USB, Flow.IN),
    RS_232_IN(Signal.RS_232, Flow.IN),
    RS_232_OUT(Signal.RS_232, Flow.OUT),
    RS_422(Signal.RS_422, Flow.BOTH),
    RS_485(Signal.RS_485, Flow.BOTH),
    AUDIO_IN(Signal.AUDIO, Flow.IN),
    AUDIO_OUT(Signal.AUDIO, Flow.OUT),
    DC_IN(Signal.DC, Flow.IN),
    DC_OUT(Signal.DC, Flow.OUT),
    MAINS_IN(Signal.NONE, Flow.IN),
    MULTICORE(Signal.MULTICORE, Flow.BOTH),
    FIBRE(Signal.FIBRE, Flow.BOTH),
    REFERENCE_IN(Signal.NONE, Flow.IN),
    TALLY(Signal.TALLY, Flow.BOTH),
    LENS(Signal.NONE, Flow.BOTH),
    CARD(Signal.NONE, Flow.BOTH),
    COMPOSITE_IN(Signal.COMPOSITE, Flow.IN);

    private final Signal signal;

    private final Flow flow;

    Join(Signal signal, Flow flow) {
        this.signal = signal;
        this.flow = flow;
    }

    public Signal signal() {
        return signal;
    }

    public Flow flow() {
        return flow;
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
