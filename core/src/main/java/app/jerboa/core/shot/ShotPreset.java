package app.jerboa.core.shot;

/**
 * One stored view.
 *
 * @param camera by its place in the list of cameras
 * @param pan degrees; not a number where nobody knows where it points
 * @param subject what it shows; a take may be given another view of the same
 */
public record ShotPreset(int camera, double pan, double tilt, String subject) {
    /** Driven by hand, or never read: how long the way there is, and from there, is not known. */
    public static ShotPreset unknown(int camera, String subject) {
        return new ShotPreset(camera, Double.NaN, Double.NaN, subject);
    }

    public boolean known() {
        return !Double.isNaN(pan) && !Double.isNaN(tilt);
    }
}
