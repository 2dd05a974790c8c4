package app.jerboa.core.job;

import java.util.Arrays;

/** The house's habit of numbering cameras. */
public enum Numbering {
    NUMBERS("numbers"),
    LETTERS("letters"),
    FROM_ZERO("from-zero");

    private static final int LETTERS_IN_ALPHABET = 26;

    private final String word;

    Numbering(String word) {
        this.word = word;
    }

    public static Numbering of(String word) {
        return Arrays.stream(values()).filter(n -> n.word.equals(word)).findFirst().orElseThrow();
    }

    public String word() {
        return word;
    }

    /**
     * @param number of the line, from 1
     * @return {@code L1}, {@code LA} or {@code L0} for the first
     */
    public String label(int number) {
        return "L" + key(number);
    }

    /** What stands on its key: the label without its letter. */
    public String key(int number) {
        return switch (this) {
            case NUMBERS -> Integer.toString(number);
            case LETTERS -> letters(number);
            case FROM_ZERO -> Integer.toString(number - 1);
        };
    }

    /** A to Z, then AA, AB and so on. */
    private static String letters(int number) {
        StringBuilder text = new StringBuilder();
        for (int n = number; n > 0; n = (n - 1) / LETTERS_IN_ALPHABET) {
            text.insert(0, (char) ('A' + (n - 1) % LETTERS_IN_ALPHABET));
        }
        return text.toString();
    }
}
