package app.jerboa.server.desk;

import app.jerboa.core.knob.TurnedRound;
import app.jerboa.server.platform.Author;
import org.springframework.stereotype.Component;

/**
 * Which axes desks turn round for a head that hangs, for whoever turns them round somewhere else:
 * what is turned twice goes the wrong way again.
 */
@Component
public class HandTurns {
    private final Gates gates;
    private final Desks desks;

    HandTurns(Gates gates, Desks desks) {
        this.gates = gates;
        this.desks = desks;
    }

    /** An axis that the camera turns round is turned round by desks, too. */
    public boolean meet(long job, long device, TurnedRound atCamera) {
        Turned here = gates.of(new CameraId(job, device)).turned();
        return here.pan() && atCamera.pan() || here.tilt() && atCamera.tilt();
    }

    /** From now on, at every desk. */
    public void turn(long job, long device, boolean pan, boolean tilt, Author by) {
        gates.turn(new CameraId(job, device), new Turned(pan, tilt), by);
        desks.regate(job);
    }

    /** A stick that is held would suddenly go the other way: it is stopped, and must centre. */
    public void stop(long job, long device) {
        desks.stop(new CameraId(job, device), Driving.TURNS_ANEW);
    }
}
