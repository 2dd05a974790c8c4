package app.jerboa.standin.controller;

import app.jerboa.core.profile.Protocol;
import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaRequest;

/** The octets that a stick sends for where it stands. */
public final class Sent {
    /** Of a network: every camera there is number 1. */
    private static final int ALONE = 1;

    private Sent() {}

    /**
     * @param pan -1 (left) to 1, {@code tilt} -1 (down) to 1
     */
    public static Octets drive(Entry entry, double pan, double tilt) {
        boolean serial = entry.protocol() == Protocol.VISCA_SERIAL;
        if (entry.protocol() == Protocol.D_PROTOCOL) {
            return DForm.D.encode(
                    entry.number(),
                    new DMessage.Drive(
                            steps(pan, DMessage.STEPS), steps(tilt, DMessage.STEPS), 0, 0, 0));
        }
        return new ViscaRequest.Drive(
                        steps(pan, ViscaRequest.PAN_STEPS), steps(tilt, ViscaRequest.TILT_STEPS))
                .encode(serial ? entry.number() : ALONE);
    }

    private static int steps(double deflection, int most) {
        double held = Math.max(-1, Math.min(1, deflection));
        return (int) Math.copySign(Math.ceil(Math.abs(held) * most), held);
    }
}
