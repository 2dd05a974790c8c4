package app.jerboa.core.profile;

/** What can be controlled or told at a camera. */
public enum Function {
    PAN_TILT,
    ROLL,
    RAIL,
    ZOOM,
    FOCUS,
    EXPOSURE,
    PAINT,
    PRESETS,
    TALLY,
    TRACKING,
    TALKBACK,
    AUDIO,
    RECORD;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
