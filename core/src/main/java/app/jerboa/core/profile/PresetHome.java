package app.jerboa.core.profile;

/** Where presets live, and what loses them. */
public enum PresetHome {
    CAMERA,
    CONTROLLER,
    SOFTWARE;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
