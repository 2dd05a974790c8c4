package app.jerboa.server.knobs;

/** A device refused, or could not be told; the message is one sentence for a person. */
final class NotTold extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** Another panel has the one place that there is. */
    static final String HELD = "held";

    private final String code;

    NotTold(String code, String sentence) {
        super(sentence);
        this.code = code;
    }

    String code() {
        return code;
    }
}
