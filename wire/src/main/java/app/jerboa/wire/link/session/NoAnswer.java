package app.jerboa.wire.link.session;

/**
 * The device did not answer in time, or refused. Told by its message alone: where a network falls
 * behind, hundreds a second are made, and nobody asks where.
 */
public final class NoAnswer extends RuntimeException {
    public NoAnswer(String message) {
        super(message, null, false, false);
    }
}
