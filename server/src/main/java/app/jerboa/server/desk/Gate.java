package app.jerboa.server.desk;

import app.jerboa.core.motion.SoftLimits;

/**
 * What must be so before a head begins to move, how far it may, and which way a hand moves it.
 *
 * @param clear somebody at its place said so in this world, and it was driven or said within {@link
 *     #ENDS_AFTER_MINUTES}
 * @param onAir its picture goes out now
 * @param limits between which it is to point
 * @param turned which axes a hand pushes the other way
 */
public record Gate(boolean clear, boolean onAir, SoftLimits limits, Turned turned) {
    /** Who went to eat may come back to a ladder under the head. */
    static final int ENDS_AFTER_MINUTES = 30;

    /** Nothing is known: nothing moves. */
    static final Gate SHUT = new Gate(false, false, SoftLimits.NONE, Turned.NOT);

    /** The same for a program: whoever starts it has said clear there. */
    Gate cleared() {
        return new Gate(true, onAir, limits, Turned.NOT);
    }
}
