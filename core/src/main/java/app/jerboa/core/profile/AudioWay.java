package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What embedded audio travels in. */
public enum AudioWay {
    SDI,
    HDMI,
    STREAM,
    USB;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
