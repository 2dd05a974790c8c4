package app.jerboa.core.shot;

/**
 * One stored view.
 *
 * @param camera by its place in the list of cameras
 * @param pan degrees
 * @param subject what it shows; a take may be given another view of the same
 */
public record ShotPreset(int camera, double pan, double tilt, String subject) {}
