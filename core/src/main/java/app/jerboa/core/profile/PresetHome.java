package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

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
