package app.jerboa.core.profile;

/** Parity of a serial line. */
public enum Parity {
    NONE,
    EVEN,
    ODD;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
