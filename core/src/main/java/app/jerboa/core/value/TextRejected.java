package app.jerboa.core.value;

/** A person's text that does not say what it should, with the place where it stops making sense. */
public final class TextRejected extends RuntimeException {
    private final String input;
    private final int index;
    private final String reason;

    /**
     * @param input the text as given
     * @param index first character that is wrong, 0 to the length of the text
     * @param reason what was expected there, in plain words
     */
    public TextRejected(String input, int index, String reason) {
        super(reason + " (character " + (index + 1) + " of \"" + input + "\")");
        this.input = input;
        this.index = index;
        this.reason = reason;
    }

    public String input() {
        return input;
    }

    public int index() {
        return index;
    }

    public String reason() {
        return reason;
    }
}
