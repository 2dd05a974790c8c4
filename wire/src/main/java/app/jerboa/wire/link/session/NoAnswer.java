package app.jerboa.wire.link.session;

/** The device did not answer in time, or refused. */
public final class NoAnswer extends RuntimeException {
    public NoAnswer(String message) {
        super(message);
    }
}
