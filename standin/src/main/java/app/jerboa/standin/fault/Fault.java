package app.jerboa.standin.fault;

import app.jerboa.core.value.Kebab;
import java.util.Arrays;
import java.util.Optional;

/** What people meet on site, each as one thing that is wrong in a hall. */
public enum Fault {
    /** Two of one factory address are plugged at once. */
    RIVAL_PLUGGED,
    /** A network lead with its ends pinned differently. */
    MIS_PINNED,
    /** A port of a network switch whose electronics are gone. */
    DEAD_PORT,
    /** Somebody else's gear takes most of a switch's power. */
    BUDGET_SPENT,
    /** Its password is none that anybody noted. */
    WRONG_PASSWORD,
    /** The power went while it saved, and it kept nothing. */
    CUT_DURING_SAVE,
    /** An update put the factory address back. */
    ADDRESS_LOST,
    /** The house lends it another address than before. */
    LEASE_CHANGED,
    /** Its wire is gone and it goes by air. */
    WIRELESS_FALL_BACK,
    /** Its head tips over, and signals a fault. */
    UNBALANCED,
    /** + and - of a bus are changed over. */
    CROSSED,
    /** Its serial port is set to another rate than its lead. */
    WRONG_BAUD,
    /** Two on one lead answer to one number. */
    SAME_ID,
    /** A serial lead is broken. */
    BROKEN_CHAIN,
    /** A key sends another protocol than its camera takes. */
    WRONG_MODE,
    /** A key leads to another camera. */
    WRONG_KEY,
    /** Its picture has another format than the job. */
    WRONG_FORMAT,
    /** Menu and status stand in its picture. */
    OVERLAY_ON,
    /** The lead with its return picture is pulled. */
    NO_RETURN,
    /** The house has something of its own on a factory address. */
    HOUSE_GEAR;

    @Override
    public String toString() {
        return Kebab.of(this);
    }

    public static Optional<Fault> named(String name) {
        return Arrays.stream(values()).filter(f -> f.toString().equals(name)).findFirst();
    }
}
