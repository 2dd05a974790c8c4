package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** How a controller learns its cameras. */
public enum Filling {
    WEB_PAGE,
    PANEL,
    /** Searches and assigns. */
    SEARCH,
    /** Counts up from the first address. */
    COUNTING;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
