package app.jerboa.core.profile;

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
