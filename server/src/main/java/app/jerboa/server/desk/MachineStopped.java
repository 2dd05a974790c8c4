package app.jerboa.server.desk;

/** A program at a desk may not go on: somebody stopped it, or its camera is not its own. */
public final class MachineStopped extends RuntimeException {
    private static final long serialVersionUID = 1L;

    MachineStopped(String why) {
        super(why);
    }
}
