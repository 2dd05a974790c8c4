package app.jerboa.server.picture;

/** None was had; the message is one sentence for a person. */
final class NoPicture extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NoPicture(String sentence) {
        super(sentence);
    }
}
