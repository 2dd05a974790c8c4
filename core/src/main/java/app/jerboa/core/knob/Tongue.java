package app.jerboa.core.knob;

import app.jerboa.core.value.Kebab;

/** A language in which a device is told something, whatever carries it. */
public enum Tongue {
    VISCA,
    D_PROTOCOL,
    /** Requests to its own web server. */
    HTTP,
    /** Paint panel to camera. */
    PANEL_LINK;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
