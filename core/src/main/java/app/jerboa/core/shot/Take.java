package app.jerboa.core.shot;

/**
 * One take: a camera on air with a stored view.
 *
 * @param preset by its place in the list of presets
 * @param start seconds from the beginning of the list
 * @param seconds that it lasts at least; it is on air until the next take starts
 */
public record Take(int preset, double start, double seconds) {}
