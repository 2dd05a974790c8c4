package app.jerboa.standin.device;

import app.jerboa.core.profile.Head;
import java.time.Duration;
import java.time.Instant;

/**
 * Where a head is and how it moves, true at {@code asOf}. Degrees right and up of the middle; zoom
 * 0 (wide) to 1 (tele); speeds per second of the world's time.
 *
 * @param homing on its way to the middle
 */
public record HeadState(
        double pan,
        double tilt,
        double zoom,
        double panSpeed,
        double tiltSpeed,
        double zoomSpeed,
        boolean homing,
        Instant asOf) {

    /** As a head takes its start-up view: the middle, wide, at rest. */
    public static HeadState atPowerUp(Instant now) {
        return new HeadState(0, 0, 0, 0, 0, 0, false, now);
    }

    /** The same head a moment later, held by its end stops. */
    public HeadState at(Instant now, Head facts) {
        double seconds = Math.max(0, Duration.between(asOf, now).toNanos() / 1e9);
        double newPan =
                clamp(pan + panSpeed * seconds, facts.panLeftDegrees(), facts.panRightDegrees());
        double newTilt =
                clamp(tilt + tiltSpeed * seconds, facts.tiltDownDegrees(), facts.tiltUpDegrees());
        double newZoom = clamp(zoom + zoomSpeed * seconds, 0, 1);
        if (homing) {
            newPan = towardsZero(pan, facts.pan().fastest() * seconds);
            newTilt = towardsZero(tilt, facts.tilt().fastest() * seconds);
        }
        boolean stillHoming = homing && (newPan != 0 || newTilt != 0);
        return new HeadState(
                newPan, newTilt, newZoom, panSpeed, tiltSpeed, zoomSpeed, stillHoming, now);
    }

    /**
     * @param panStep -24 to 24, {@code tiltStep} -20 to 20; 0 stops that axis
     */
    public HeadState driving(int panStep, int tiltStep, Head facts) {
        double newPanSpeed = Math.copySign(facts.pan().at(Math.abs(panStep)), panStep);
        double newTiltSpeed = Math.copySign(facts.tilt().at(Math.abs(tiltStep)), tiltStep);
        return new HeadState(pan, tilt, zoom, newPanSpeed, newTiltSpeed, zoomSpeed, false, asOf);
    }

    /**
     * @param step -8 (wide) to 8 (tele); 0 stops
     */
    public HeadState zooming(int step, Head facts) {
        double newZoomSpeed = Math.copySign(facts.zoom().at(Math.abs(step)), step);
        return new HeadState(pan, tilt, zoom, panSpeed, tiltSpeed, newZoomSpeed, homing, asOf);
    }

    public HeadState goingHome() {
        return new HeadState(pan, tilt, zoom, 0, 0, zoomSpeed, true, asOf);
    }

    private static double clamp(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }

    private static double towardsZero(double from, double by) {
        return Math.abs(from) <= by ? 0 : from - Math.copySign(by, from);
    }
}
