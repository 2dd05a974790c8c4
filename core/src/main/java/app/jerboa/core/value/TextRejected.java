package app.jerboa.core.value;

/** A person's text that does not say what it should, with the place where it stops making sense. */
public final class TextRejected extends RuntimeException {
    private final String input;
    private final int index;
    private final transient Reason reason;

    /**
     * @param input the text as given
     * @param index first character that is wrong, 0 to the length of the text
     * @param reason what was expected there
     */
    public TextRejected(String input, int index, Reason reason) {
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

    public Reason reason() {
        return reason;
    }
}
