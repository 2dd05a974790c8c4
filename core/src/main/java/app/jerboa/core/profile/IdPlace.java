package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** Where a control ID is set. */
public enum IdPlace {
    MENU,
    DIAL,
    WEB_PAGE,
    REMOTE,
    /** Given by the order on the chain. */
    CHAIN;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
