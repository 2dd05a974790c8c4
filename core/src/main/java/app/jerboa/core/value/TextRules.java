package app.jerboa.core.value;

/** What signs a text may hold. */
public final class TextRules {
    private TextRules() {}

    /** Whether it can be stored and read again: no NUL, no half of a pair (UTF-16 surrogates). */
    public static boolean storable(String text) {
        return indexOfUnstorable(text) < 0;
    }

    private static int indexOfUnstorable(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean pair =
                    Character.isHighSurrogate(c)
                            && i + 1 < text.length()
                            && Character.isLowSurrogate(text.charAt(i + 1));
            if (c == 0 || (Character.isSurrogate(c) && !pair)) {
                return i;
            }
            if (pair) {
                i++;
            }
        }
        return -1;
    }

    /**
     * Signs that turn the direction of what follows (Unicode bidirectional controls): a name with
     * one reads as another name on a label.
     */
    public static boolean turnsDirection(char c) {
        return c == '\u061C'
                || c == '\u200E'
                || c == '\u200F'
                || (c >= '\u202A' && c <= '\u202E')
                || (c >= '\u2066' && c <= '\u2069');
    }
}
