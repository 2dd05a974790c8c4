package app.jerboa.core.knob;

import app.jerboa.core.value.Kebab;

/** What a knob or verb does to a device. */
public enum Does {
    READS,
    SETS,
    /** Something turns, runs or travels. */
    MOVES,
    RESTARTS,
    /** What was stored is gone. */
    ERASES,
    /** It goes on or off. */
    POWERS;

    /** It is asked for each time, and needs a lead's approval where a profile came from outside. */
    public boolean grave() {
        return this == RESTARTS || this == ERASES || this == POWERS;
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
