package app.jerboa.server.desk;

/**
 * What must be so before a head begins to move.
 *
 * @param clear somebody at its place said so in this world, and it was driven or said within {@link
 *     #ENDS_AFTER_MINUTES}
 * @param onAir its picture goes out now
 */
public record Gate(boolean clear, boolean onAir) {
    /** Who went to eat may come back to a ladder under the head. */
    static final int ENDS_AFTER_MINUTES = 30;

    /** Nothing is known: nothing moves. */
    static final Gate SHUT = new Gate(false, false);
}
