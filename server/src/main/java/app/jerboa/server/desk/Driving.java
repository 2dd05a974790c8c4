package app.jerboa.server.desk;

import app.jerboa.core.motion.StickLaw;
import app.jerboa.server.people.Person;
import app.jerboa.wire.link.session.Stopping;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.function.Consumer;

/**
 * One desk driving at most one camera. Holds the stop contract: whoever goes silent off centre is
 * stopped, what moves is marked before it moves, and after a stop from elsewhere the stick must
 * come back to the centre before it drives again.
 */
final class Driving {
    /** Silence of the stick that ends in a stop, in milliseconds of real time. */
    static final int SILENCE_MILLIS = 200;

    private static final long SETTLED_NANOS = 2_000_000_000L;

    final String holder;
    final Person person;
    private final Moving moving;
    private final Consumer<Object> screen;
    private CameraLink camera;
    private ViscaRequest.Drive drive = ViscaRequest.Drive.STOP;
    private ViscaRequest.Zoom zoom = ViscaRequest.Zoom.STOP;
    private long lastBeatNanos;
    private boolean mustCentre;
    private boolean marked;
    private long standsSinceNanos;

    Driving(String holder, Person person, Moving moving, Consumer<Object> screen) {
        this.holder = holder;
        this.person = person;
        this.moving = moving;
        this.screen = screen;
    }

    synchronized CameraLink camera() {
        return camera;
    }

    synchronized void take(CameraLink taken) {
        camera = taken;
        mustCentre = false;
        // What the camera before this one left marked, the sweep over abandoned heads takes off.
        marked = false;
        standsSinceNanos = 0;
        screen.accept(new DeskMessages.Taken(taken.device()));
    }

    void tell(Object message) {
        screen.accept(message);
    }

    /**
     * @param nowNanos of {@link System#nanoTime()}
     */
    synchronized void stick(double pan, double tilt, double zoomBy, double limit, long nowNanos) {
        lastBeatNanos = nowNanos;
        if (camera == null) {
            return;
        }
        StickLaw law = camera.law().limitedTo(Math.max(0.01, Math.min(1, limit)));
        ViscaRequest.Drive wanted =
                new ViscaRequest.Drive(
                        law.step(pan, ViscaRequest.PAN_STEPS),
                        law.step(tilt, ViscaRequest.TILT_STEPS));
        ViscaRequest.Zoom wantedZoom =
                new ViscaRequest.Zoom(law.step(zoomBy, ViscaRequest.ZOOM_STEPS));
        boolean centred = wanted.stops() && wantedZoom.speed() == 0;
        if (centred) {
            mustCentre = false;
            if (isMoving()) {
                stop("released");
            }
        } else if (!mustCentre) {
            move(wanted, wantedZoom);
        }
    }

    private void move(ViscaRequest.Drive wanted, ViscaRequest.Zoom wantedZoom) {
        markOnce();
        if (!wanted.equals(drive)) {
            drive = wanted;
            camera.link().drive(wanted);
        }
        if (!wantedZoom.equals(zoom)) {
            zoom = wantedZoom;
            camera.link().zoom(wantedZoom);
        }
    }

    private void markOnce() {
        standsSinceNanos = 0;
        if (!marked) {
            moving.mark(camera);
            marked = true;
        }
    }

    /**
     * Takes the mark off a head that has stood for a while. Not at once: a stick is pushed again
     * and again, and each push would wait for the database.
     */
    synchronized void unmarkWhenSettled(long nowNanos) {
        boolean settled = standsSinceNanos != 0 && nowNanos - standsSinceNanos > SETTLED_NANOS;
        if (marked && settled && !isMoving()) {
            moving.unmark(camera);
            marked = false;
        }
    }

    synchronized void home() {
        if (camera != null && !isMoving()) {
            markOnce();
            camera.link().home();
        }
    }

    synchronized boolean isMoving() {
        return !drive.stops() || zoom.speed() != 0;
    }

    /**
     * The stop frames are out when this returns; whether the head stands is told to the screen
     * later.
     */
    synchronized void stop(String why) {
        if (camera == null) {
            return;
        }
        drive = ViscaRequest.Drive.STOP;
        zoom = ViscaRequest.Zoom.STOP;
        CameraLink stopped = camera;
        Stopping.stop(stopped.link())
                .whenComplete((outcome, failure) -> stopDone(stopped, outcome, why));
    }

    /**
     * @param outcome null when the head never acknowledged
     */
    private void stopDone(CameraLink stopped, Stopping.Outcome outcome, String why) {
        if (outcome == Stopping.Outcome.OVERTAKEN) {
            return;
        }
        boolean stands = outcome == Stopping.Outcome.STANDING;
        synchronized (this) {
            if (stands && !isMoving() && stopped.equals(camera)) {
                standsSinceNanos = System.nanoTime();
            }
        }
        screen.accept(new DeskMessages.Stopped(stopped.device(), stands, why));
    }

    /** As {@link #stop}, and the stick must come back to the centre before it drives again. */
    synchronized void stopFromElsewhere(String why) {
        mustCentre = true;
        stop(why);
    }

    /** Stops a stick that is off centre and has gone silent. */
    synchronized void watch(long nowNanos) {
        boolean silent = nowNanos - lastBeatNanos > SILENCE_MILLIS * 1_000_000L;
        if (isMoving() && silent) {
            stopFromElsewhere("the stick went silent");
        }
    }
}
