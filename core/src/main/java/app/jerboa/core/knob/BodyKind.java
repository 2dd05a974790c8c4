package app.jerboa.core.knob;

import app.jerboa.core.value.Kebab;

/** What a POST carries, and so how values in it are encoded. */
public enum BodyKind {
    NONE,
    FORM,
    JSON;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
