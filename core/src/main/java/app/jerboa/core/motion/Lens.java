package app.jerboa.core.motion;

import app.jerboa.core.value.Fact;

/**
 * A zoom lens on a sensor. Focal length runs geometrically with zoom position.
 *
 * @param sensorWidthMm width of the sensor in millimetres
 * @param wideMm focal length at zoom position 0
 * @param teleMm focal length at the far end
 */
public record Lens(
        @Fact(value = "Sensor width", unit = "mm", least = 1, most = 60) double sensorWidthMm,
        @Fact(value = "Widest", unit = "mm", least = 1, most = 2000) double wideMm,
        @Fact(value = "Longest", unit = "mm", least = 1, most = 2000) double teleMm) {
    public Lens {
        if (!(sensorWidthMm > 0 && wideMm > 0 && wideMm <= teleMm)) {
            throw new IllegalArgumentException(
                    "sensor and focal lengths must be above 0 and run upwards, got "
                            + sensorWidthMm
                            + ", "
                            + wideMm
                            + ", "
                            + teleMm);
        }
    }

    /**
     * @param position 0 (wide) to 1 (tele)
     */
    public double focalMm(double position) {
        return wideMm * Math.pow(teleMm / wideMm, Math.max(0, Math.min(1, position)));
    }

    /** Horizontal angle of view in degrees: 2 atan(w / 2f). */
    public double angleDegrees(double position) {
        return Moves.angleOfView(sensorWidthMm, focalMm(position));
    }
}
