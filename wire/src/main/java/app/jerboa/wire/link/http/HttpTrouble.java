package app.jerboa.wire.link.http;

/** Why a request came to nothing, as a kind and with what is told of it. */
public final class HttpTrouble extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** What went wrong. */
    public enum Kind {
        SILENT,
        /** 401 or 403: who asks is not let in. */
        NOT_LET_IN,
        /** It points to another address; that is never followed. */
        REDIRECT,
        /** Its certificate is another than at first sight. */
        OTHER_CERTIFICATE,
        /** What it offers for https is too old, or no https at all. */
        NO_TLS,
        /** 409, 423 or 503. */
        NOT_NOW,
        /** Any other status that is not 2xx. */
        REFUSED,
        TOO_LONG
    }

    private final Kind kind;

    public HttpTrouble(Kind kind, String detail) {
        super(detail);
        this.kind = kind;
    }

    public Kind kind() {
        return kind;
    }
}
