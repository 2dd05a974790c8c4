package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What stands between a new device and whoever logs in. */
public enum PasswordRule {
    NONE,
    /** One that all of them share until it is changed. */
    FACTORY,
    /** It refuses everything until one is set. */
    SET_AT_FIRST_LOGIN,
    /** On its own label. */
    PRINTED;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
