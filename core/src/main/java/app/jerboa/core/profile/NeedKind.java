package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What must be fetched while there is internet. */
public enum NeedKind {
    FIRMWARE,
    UPDATER,
    APP,
    DRIVER,
    ACCOUNT,
    DATA_CARD,
    ADAPTER,
    BATTERIES,
    DOCUMENT;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
