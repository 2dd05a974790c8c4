package app.jerboa.core.profile;

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
