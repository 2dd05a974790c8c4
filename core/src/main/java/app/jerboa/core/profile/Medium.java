package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What a device's network rides on. */
public enum Medium {
    WIRED,
    WIRELESS,
    /** Both; wired first. */
    EITHER,
    /** Wired, once an option module or adapter is fitted. */
    WITH_OPTION;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
