package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** Parity of a serial line. */
public enum Parity {
    NONE,
    EVEN,
    ODD;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
