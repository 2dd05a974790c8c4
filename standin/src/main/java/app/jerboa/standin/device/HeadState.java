package app.jerboa.standin.device;

import app.jerboa.core.profile.Head;
import java.time.Duration;
import java.time.Instant;

/**
 * Where a head is and how it moves, true at {@code asOf}. Degrees right and up of the middle; zoom
 * 0 (wide) to 1 (tele); speeds per second of the world's time.
 *
 * @param panSpeed that it was told; {@code panRate} is what it has gathered of it by now
 * @param cruise as fast as it goes on its way to the aim
 * @param homing pan and tilt are on their way to the aim
 * @param lensHoming the zoom is on its way to the aim
 */
public record HeadState(
        double pan,
        double tilt,
        double zoom,
        double panSpeed,
        double tiltSpeed,
        double zoomSpeed,
        boolean homing,
        boolean lensHoming,
        Aim aim,
        Cruise cruise,
        double panRate,
        double tiltRate,
        Instant asOf) {

    /** A view that a head goes to, in the same units. */
    public record Aim(double pan, double tilt, double zoom) {
        static final Aim MIDDLE = new Aim(0, 0, 0);
    }

    /** Degrees a second, at most. */
    public record Cruise(double pan, double tilt) {
        static Cruise fastest(Head facts) {
            return new Cruise(facts.pan().fastest(), facts.tilt().fastest());
        }

        /**
         * @param share of the steps that the head has, above 0 to 1
         */
        static Cruise at(double share, Head facts) {
            return new Cruise(
                    facts.pan().at((int) Math.ceil(share * facts.pan().steps())),
                    facts.tilt().at((int) Math.ceil(share * facts.tilt().steps())));
        }
    }

    private static final Cruise NONE = new Cruise(0, 0);

    /** As a head takes its start-up view: the middle, wide, at rest. */
    public static HeadState atPowerUp(Instant now) {
        return new HeadState(0, 0, 0, 0, 0, 0, false, false, Aim.MIDDLE, NONE, 0, 0, now);
    }

    /** At rest there. */
    static HeadState at(Aim place, Instant now) {
        return new HeadState(
                place.pan(),
                place.tilt(),
                place.zoom(),
                0,
                0,
                0,
                false,
                false,
                place,
                NONE,
                0,
                0,
                now);
    }

    /** The same head a moment later, held by its end stops. */
    public HeadState at(Instant now, Head facts) {
        double seconds = Math.max(0, Duration.between(asOf, now).toNanos() / 1e9);
        double force = facts.acceleration().orElse(Double.POSITIVE_INFINITY);
        AxisRun newPan =
                new AxisRun(pan, panRate)
                        .after(seconds, force, homing, homing ? aim.pan() : panSpeed, cruise.pan())
                        .within(facts.panLeftDegrees(), facts.panRightDegrees());
        AxisRun newTilt =
                new AxisRun(tilt, tiltRate)
                        .after(
                                seconds,
                                force,
                                homing,
                                homing ? aim.tilt() : tiltSpeed,
                                cruise.tilt())
                        .within(facts.tiltDownDegrees(), facts.tiltUpDegrees());
        double newZoom =
                lensHoming
                        ? towards(zoom, aim.zoom(), facts.zoom().fastest() * seconds)
                        : zoom + zoomSpeed * seconds;
        return new HeadState(
                newPan.place(),
                newTilt.place(),
                clamp(newZoom, 0, 1),
                panSpeed,
                tiltSpeed,
                zoomSpeed,
                homing && (newPan.place() != aim.pan() || newTilt.place() != aim.tilt()),
                lensHoming && newZoom != aim.zoom(),
                aim,
                cruise,
                newPan.rate(),
                newTilt.rate(),
                now);
    }

    /**
     * @param panStep -24 to 24, {@code tiltStep} -20 to 20; 0 stops that axis
     */
    public HeadState driving(int panStep, int tiltStep, Head facts) {
        double newPanSpeed = Math.copySign(facts.pan().at(Math.abs(panStep)), panStep);
        double newTiltSpeed = Math.copySign(facts.tilt().at(Math.abs(tiltStep)), tiltStep);
        return moved(newPanSpeed, newTiltSpeed, zoomSpeed, false, lensHoming, aim, cruise);
    }

    /**
     * @param step -8 (wide) to 8 (tele); 0 stops
     */
    public HeadState zooming(int step, Head facts) {
        double newZoomSpeed = Math.copySign(facts.zoom().at(Math.abs(step)), step);
        return moved(panSpeed, tiltSpeed, newZoomSpeed, homing, false, aim, cruise);
    }

    public HeadState goingHome(Head facts) {
        return going(0, 0, facts);
    }

    /** To a place, or as near to it as the end stops let it. */
    public HeadState going(double toPan, double toTilt, Head facts) {
        return going(toPan, toTilt, facts, Cruise.fastest(facts));
    }

    public HeadState going(double toPan, double toTilt, Head facts, Cruise by) {
        Aim next =
                new Aim(
                        clamp(toPan, facts.panLeftDegrees(), facts.panRightDegrees()),
                        clamp(toTilt, facts.tiltDownDegrees(), facts.tiltUpDegrees()),
                        aim.zoom());
        return moved(0, 0, zoomSpeed, true, lensHoming, next, by);
    }

    /**
     * @param toZoom 0 to 1
     */
    public HeadState zoomingTo(double toZoom) {
        Aim next = new Aim(aim.pan(), aim.tilt(), clamp(toZoom, 0, 1));
        return moved(panSpeed, tiltSpeed, 0, homing, true, next, cruise);
    }

    private HeadState moved(
            double newPanSpeed,
            double newTiltSpeed,
            double newZoomSpeed,
            boolean toAim,
            boolean lensToAim,
            Aim next,
            Cruise by) {
        return new HeadState(
                pan,
                tilt,
                zoom,
                newPanSpeed,
                newTiltSpeed,
                newZoomSpeed,
                toAim,
                lensToAim,
                next,
                by,
                panRate,
                tiltRate,
                asOf);
    }

    private static double clamp(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }

    private static double towards(double from, double to, double by) {
        return Math.abs(to - from) <= by ? to : from + Math.copySign(by, to - from);
    }
}
