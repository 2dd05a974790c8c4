package app.jerboa.core.finding;

/** What a finding is about; each page shows the disciplines that are worked on there. */
public enum Discipline {
    ADDRESSES("addresses"),
    SECRETS("secrets"),
    /** The working practice of the house. */
    HOUSE("house"),
    NAMES("names"),
    KIT("kit"),
    PREPARATION("preparation"),
    LENS("lens"),
    MOUNT("mount"),
    CONTROL("control"),
    /** Control IDs and keys. */
    NUMBERS("numbers"),
    POWER("power"),
    SERIAL("serial"),
    VIDEO("video"),
    AUDIO("audio"),
    USB("usb"),
    NETWORK("network"),
    CABLING("cabling"),
    /** Stored views, and the lists that show them. */
    SHOTS("shots"),
    /** What was found and proved, beside the plan. */
    EVIDENCE("evidence"),
    /** The checking itself. */
    CHECKS("checks");

    private final String wire;

    Discipline(String wire) {
        this.wire = wire;
    }

    /** The name used in JSON. */
    public String wire() {
        return wire;
    }
}
