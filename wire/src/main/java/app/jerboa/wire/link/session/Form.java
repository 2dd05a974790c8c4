package app.jerboa.wire.link.session;

/** The two forms of VISCA over UDP. */
public enum Form {
    /** With type, length and sequence in front. */
    HEADER,
    /** Bare frames. */
    RAW
}
