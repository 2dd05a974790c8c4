package app.jerboa.core.job.cabling.seen;

import java.util.OptionalInt;

/**
 * What a network switch tells of one port beside who is heard there.
 *
 * @param megabits its speed in Mb/s (ifHighSpeed, RFC 2863); 0 where it is down or not told
 * @param powers it gives power just now (RFC 3621)
 * @param powerClass of what it feeds, 0 to 8; empty where it feeds nothing or does not tell
 */
public record PortTold(long megabits, boolean powers, OptionalInt powerClass) {
    public static final PortTold NOTHING = new PortTold(0, false, OptionalInt.empty());

    /** Two pairs carry 100 Mb/s; what brings less is an old device or a lead that lacks a wire. */
    private static final long SLOW_MEGABITS = 100;

    public boolean slow() {
        return megabits > 0 && megabits < SLOW_MEGABITS;
    }
}
