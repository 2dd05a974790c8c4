package app.jerboa.core.job.proof;

import app.jerboa.core.value.Kebab;

/**
 * How far a device is, in one word: the first of these that is so. What was seen goes before what
 * the plan says: a stop finding shows at its own station too.
 */
public enum Mark {
    /** Something was found otherwise than planned, or did not work. */
    DIFFERS,
    /** Something was proved before what it rests on changed. */
    STALE,
    /** Every test it needs was asked or seen. */
    PROVED,
    /** It answered at its planned address; what has none, over its control route. */
    SET,
    /** Nothing is known, and a finding stops it. */
    STOPPED,
    /** Nothing is known; a finding would stop it, and somebody accepted that. */
    WAIVED,
    /** Nothing is known. */
    PLANNED;

    private final String wire = Kebab.of(this);

    public String wire() {
        return wire;
    }
}
