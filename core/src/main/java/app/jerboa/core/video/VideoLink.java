package app.jerboa.core.video;

/** The rate of the serial digital link that a picture format travels on. */
public final class VideoLink {
    private static final double HD = 1.485;

    private VideoLink() {}

    /**
     * In Gb/s: 1.485 up to 1080p30, doubled for 1080p50 and 60, and again for each step of 2160.
     *
     * @param format for example {@code 1080p50}
     * @throws IllegalArgumentException for what is no format
     */
    public static double gigabits(String format) {
        PictureSize size = PictureSize.of(format);
        int lines = size.height();
        boolean fast = size.fps() > 30;
        if (lines <= 720 || lines <= 1080 && !fast) {
            return HD;
        } else if (lines <= 1080) {
            return 2 * HD;
        }
        return fast ? 8 * HD : 4 * HD;
    }
}
