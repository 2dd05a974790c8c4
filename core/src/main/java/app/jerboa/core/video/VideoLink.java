package app.jerboa.core.video;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The rate of the serial digital link that a picture format travels on. */
public final class VideoLink {
    private static final Pattern FORMAT = Pattern.compile("(\\d{3,4})([ip])(\\d{2})");
    private static final double HD = 1.485;

    private VideoLink() {}

    /**
     * In Gb/s: 1.485 up to 1080p30, doubled for 1080p50 and 60, and again for each step of 2160.
     *
     * @param format for example {@code 1080p50}
     * @throws IllegalArgumentException for what is no format
     */
    public static double gigabits(String format) {
        Matcher m = FORMAT.matcher(format);
        if (!m.matches()) {
            throw new IllegalArgumentException("a format is like 1080p50, got " + format);
        }
        int lines = Integer.parseInt(m.group(1));
        boolean fast = m.group(2).equals("p") && Integer.parseInt(m.group(3)) > 30;
        if (lines <= 720 || lines <= 1080 && !fast) {
            return HD;
        } else if (lines <= 1080) {
            return 2 * HD;
        }
        return fast ? 8 * HD : 4 * HD;
    }
}
