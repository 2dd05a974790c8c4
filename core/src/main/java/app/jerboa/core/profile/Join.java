package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What a port is for a plug. */
public enum Join {
    ETHERNET(Signal.NETWORK, SignalFlow.BOTH),
    CONSOLE(Signal.NONE, SignalFlow.BOTH),
    SDI_IN(Signal.SDI, SignalFlow.IN),
    SDI_OUT(Signal.SDI, SignalFlow.OUT),
    HDMI_IN(Signal.HDMI, SignalFlow.IN),
    HDMI_OUT(Signal.HDMI, SignalFlow.OUT),
    COMPOSITE_OUT(Signal.COMPOSITE, SignalFlow.OUT),
    /** The side of the camera or pad; pictures and presses go out of it. */
    USB_DEVICE(Signal.USB, SignalFlow.OUT),
    USB_HOST(Signal.USB, SignalFlow.IN),
    RS_232_IN(Signal.RS_232, SignalFlow.IN),
    RS_232_OUT(Signal.RS_232, SignalFlow.OUT),
    RS_422(Signal.RS_422, SignalFlow.BOTH),
    RS_485(Signal.RS_485, SignalFlow.BOTH),
    AUDIO_IN(Signal.AUDIO, SignalFlow.IN),
    AUDIO_OUT(Signal.AUDIO, SignalFlow.OUT),
    DC_IN(Signal.DC, SignalFlow.IN),
    DC_OUT(Signal.DC, SignalFlow.OUT),
    MAINS_IN(Signal.NONE, SignalFlow.IN),
    MULTICORE(Signal.MULTICORE, SignalFlow.BOTH),
    FIBRE(Signal.FIBRE, SignalFlow.BOTH),
    REFERENCE_IN(Signal.NONE, SignalFlow.IN),
    TALLY(Signal.TALLY, SignalFlow.BOTH),
    LENS(Signal.NONE, SignalFlow.BOTH),
    CARD(Signal.NONE, SignalFlow.BOTH),
    COMPOSITE_IN(Signal.COMPOSITE, SignalFlow.IN);

    private final Signal signal;

    private final SignalFlow flow;

    Join(Signal signal, SignalFlow flow) {
        this.signal = signal;
        this.flow = flow;
    }

    public Signal signal() {
        return signal;
    }

    public SignalFlow flow() {
        return flow;
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
