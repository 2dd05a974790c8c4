package app.jerboa.core.video;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Pixels and whole pictures a second.
 *
 * @param fps of an interlaced format half its fields
 */
public record PictureSize(int width, int height, double fps) {
    private static final Pattern FORMAT = Pattern.compile("(\\d{3,4})([ip])(\\d{2})");

    /**
     * @param format for example {@code 1080p50}; 16 to 9
     * @throws IllegalArgumentException for what is no format
     */
    public static PictureSize of(String format) {
        Matcher m = FORMAT.matcher(format);
        if (!m.matches()) {
            throw new IllegalArgumentException("a format is like 1080p50, got " + format);
        }
        int height = Integer.parseInt(m.group(1));
        double rate = Integer.parseInt(m.group(3));
        return new PictureSize(height * 16 / 9, height, m.group(2).equals("i") ? rate / 2 : rate);
    }
}
