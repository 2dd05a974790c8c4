package app.jerboa.server.desk;

import app.jerboa.wire.visca.PanTilt;

/**
 * Where a camera says that it points.
 *
 * @param at in its own counts
 * @param pan degrees right of the middle; {@code tilt} up
 * @param viewDegrees its horizontal angle of view
 */
record Pointing(PanTilt at, double pan, double tilt, double viewDegrees) {}
