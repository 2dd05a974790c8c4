package app.jerboa.core.job.cabling.drawing;

/**
 * One thing drawn. Lengths are in drawing units, a text of normal size being 12 high; x runs to the
 * right and y downwards.
 *
 * @param x of a line its start, of a text its anchor on the baseline
 * @param w of a line how far it goes right, of a bar the share that is filled of {@link #BAR}
 * @param h of a line how far it goes down
 * @param run the run it belongs to; 0 for none
 * @param device the device it belongs to; 0 for none
 */
public record Shape(
        Kind kind,
        double x,
        double y,
        double w,
        double h,
        String text,
        Tone tone,
        long run,
        long device) {
    /** How long a bar is. */
    public static final double BAR = 240;

    /** What it is. */
    public enum Kind {
        BOX,
        /** A socket that is in use. */
        SOCKET,
        /** A socket with nothing in it. */
        EMPTY,
        LINE,
        /** A text that starts at its place. */
        TEXT,
        /** A text in the middle of its place. */
        MIDDLE,
        BAR
    }

    /** How it is to be read. */
    public enum Tone {
        PLAIN,
        HEADING,
        STRONG,
        QUIET,
        WARN,
        STOP
    }
}
