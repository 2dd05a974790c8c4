package app.jerboa.core.bringup;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * What takes a technician's own time during a bring-up. Seconds are habits of ours, changed per job
 * and replaced by what was really taken.
 */
public enum Work {
    /** Change the laptop's address once. */
    HOP(45),
    /** Add one address to the laptop. */
    ALIAS(20),
    /** Connect and power one device. */
    PLUG(20),
    /** Put one that was used before back to its factory state. */
    RESET(60),
    /** Load newer firmware. */
    UPDATE(60),
    /** Switch to a lease at the device and read it. */
    LEASE(30),
    /** Find it by a search and put it on a lease from there. */
    SEARCH(30),
    /** Read its pairing code and pair it, which puts it on a lease. */
    PAIR(30),
    /** Enable a port of a network switch. */
    PORT(5),
    /** Log in and set. */
    SET(60),
    /** Ask it at its new address. */
    VERIFY(15),
    /** Stick its label on, in the workshop. */
    LABEL(20);

    private final int usual;

    Work(int usual) {
        this.usual = usual;
    }

    /** Seconds it usually takes. */
    public int usual() {
        return usual;
    }

    public String wire() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Work> fromWire(String name) {
        return Arrays.stream(values()).filter(w -> w.wire().equals(name)).findFirst();
    }
}
