package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** Whether the lens comes off. */
public enum LensFit {
    BUILT_IN,
    INTERCHANGEABLE,
    /** The profile is a lens itself. */
    IS_A_LENS;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
