package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What a preset stores. */
public enum PresetPart {
    POSITION,
    ZOOM,
    FOCUS,
    IRIS,
    GAIN,
    WHITE_BALANCE;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
