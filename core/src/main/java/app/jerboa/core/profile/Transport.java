package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What a protocol's bytes travel in. */
public enum Transport {
    UDP,
    TCP,
    RS_232,
    RS_422,
    RS_485,
    USB,
    INFRARED,
    RADIO,
    SDI,
    MULTICORE,
    LEAD;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
