package app.jerboa.server.platform;

/** Texts that leave for a spreadsheet. */
public final class Harmless {
    private Harmless() {}

    /** A cell that a spreadsheet would take for a formula gets an apostrophe in front. */
    public static String cell(String text) {
        return !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }
}
