package app.jerboa.core.profile;

/** Which way something goes through a socket. */
public enum SignalFlow {
    IN,
    OUT,
    BOTH;

    /** Two that can be joined. */
    public boolean meets(SignalFlow other) {
        return this == BOTH || other == BOTH || this != other;
    }
}
