package app.jerboa.core.profile;

/** What a camera or panel can adjust. */
public enum PaintControl {
    IRIS,
    GAIN,
    SHUTTER,
    ND_FILTER,
    WHITE_BALANCE,
    RED_GAIN,
    BLUE_GAIN,
    MASTER_BLACK,
    RED_BLACK,
    BLUE_BLACK,
    GAMMA,
    KNEE,
    DETAIL,
    SATURATION,
    MATRIX;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
