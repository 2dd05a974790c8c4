package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** How a network picture is coded. */
public enum StreamCodec {
    H264,
    H265,
    MJPEG;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
