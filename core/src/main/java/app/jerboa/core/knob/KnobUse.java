package app.jerboa.core.knob;

import app.jerboa.core.value.Kebab;

/** Where a knob belongs on a page. */
public enum KnobUse {
    LENS,
    /** Light and colour of the picture. */
    PAINT,
    CAMERA;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
