package app.jerboa.core.knob;

import app.jerboa.core.value.Kebab;

/**
 * Axes that a camera itself turns round, so that a head that hangs is driven as one that stands.
 */
public enum TurnedRound {
    PAN,
    TILT,
    BOTH;

    public boolean pan() {
        return this != TILT;
    }

    public boolean tilt() {
        return this != PAN;
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
