package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What a panel's keys can type without changing mode. */
public enum Letters {
    ANY,
    LOWER_AND_DIGITS,
    DIGITS;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
