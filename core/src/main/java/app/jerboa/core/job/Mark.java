package app.jerboa.core.job;

/** How far a device is, as planned against as found. */
public enum Mark {
    PLANNED,
    SET,
    DIFFERS
}
