package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What a port may be used for. */
public enum PortUse {
    CONTROL,
    PICTURE,
    CONTROL_AND_PICTURE,
    /** Set-up only, never control. */
    CONFIGURATION,
    POWER,
    NETWORK;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
