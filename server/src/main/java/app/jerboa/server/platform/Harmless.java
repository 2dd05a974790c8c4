package app.jerboa.server.platform;

/** Texts that leave for a spreadsheet. */
public final class Harmless {
    private Harmless() {}

    /** A cell that a spreadsheet would take for a formula gets an apostrophe in front. */
    public static String cell(String text) {
        int first = 0;
        while (first < text.length() && ignored(text.charAt(first))) {
            first++;
        }
        boolean runs = first < text.length() && "=+-@|".indexOf(text.charAt(first)) >= 0;
        boolean hides = first > 0 && first < text.length();
        return runs || hides ? "'" + text : text;
    }

    /** What spreadsheets pass over before they look for a formula. */
    private static boolean ignored(char c) {
        return c <= ' '
                || c == '\u00A0'
                || c == '\uFEFF'
                || Character.getType(c) == Character.FORMAT;
    }
}
