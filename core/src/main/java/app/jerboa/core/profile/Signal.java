package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;
import java.util.List;

/** What two sockets must share to be joined, and the cables that carry it, the usual one first. */
public enum Signal {
    NETWORK(Cable.DATA, Cable.FIBRE),
    SDI(Cable.COAX_RG6, Cable.COAX_RG59, Cable.COAX_MINI, Cable.FIBRE),
    HDMI(Cable.HDMI, Cable.HDMI_ACTIVE, Cable.FIBRE),
    COMPOSITE(Cable.COAX_RG59, Cable.COAX_RG6, Cable.COAX_MINI),
    USB(Cable.USB_3, Cable.USB_2, Cable.USB_EXTENDER),
    RS_232(Cable.SERIAL, Cable.DATA),
    RS_422(Cable.PAIR, Cable.DATA),
    RS_485(Cable.PAIR, Cable.DATA),
    AUDIO(Cable.AUDIO),
    DC(Cable.DC, Cable.PAIR, Cable.DATA),
    MULTICORE(Cable.MULTICORE),
    FIBRE(Cable.FIBRE),
    TALLY(Cable.PAIR, Cable.DATA),
    /** Mains, lenses, cards and the like: nothing that is run here. */
    NONE;

    // A copied list: it does not change.
    @SuppressWarnings("ImmutableEnumChecker")
    private final List<Cable> cables;

    Signal(Cable... cables) {
        this.cables = List.of(cables);
    }

    public List<Cable> cables() {
        return cables;
    }

    public boolean serial() {
        return this == RS_232 || this == RS_422 || this == RS_485;
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
