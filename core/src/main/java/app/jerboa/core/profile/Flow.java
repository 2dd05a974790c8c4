package app.jerboa.core.profile;

/** Which way something goes through a socket. */
public enum Flow {
    IN,
    OUT,
    BOTH;

    /** Two that can be joined. */
    public boolean meets(Flow other) {
        return this == BOTH || other == BOTH || this != other;
    }
}
