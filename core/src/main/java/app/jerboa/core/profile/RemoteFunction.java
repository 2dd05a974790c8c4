package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;
import java.util.Locale;

/** What can be controlled or told at a camera. */
public enum RemoteFunction {
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

    /**
     * @param word as {@link #toString} writes it
     * @throws IllegalArgumentException for any other
     */
    public static RemoteFunction of(String word) {
        return valueOf(word.replace('-', '_').toUpperCase(Locale.ROOT));
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
