package app.jerboa.server.desk;

import app.jerboa.core.motion.MotionAxis;
import java.util.Map;

/**
 * A camera is asked where it points.
 *
 * @param gone how far it was told to go until then, in degrees and metres
 */
record Question(CameraLink camera, Map<MotionAxis, Double> gone) {}
