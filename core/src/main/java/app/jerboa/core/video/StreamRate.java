package app.jerboa.core.video;

import java.util.Locale;
import java.util.Optional;

/** What a network picture takes, by the rule of thumb of its codec. */
public enum StreamRate {
    H264,
    H265,
    MJPEG;

    /** Share of a link that pictures may take. */
    public static final double SHARE = 0.75;

    /** Bits for each pixel at 30 frames a second. */
    private static final double H264_BITS = 0.12;

    private static final double H264_GROWTH = 0.6;
    private static final double H265_OF_H264 = 0.6;
    private static final double MJPEG_BITS = 0.8;

    public static Optional<StreamRate> of(String name) {
        try {
            return Optional.of(valueOf(name.toUpperCase(Locale.ROOT)));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** In Mb/s. */
    public double megabits(int width, int height, double fps) {
        double pixels = (double) width * height;
        double h264 = pixels * 30 * H264_BITS * Math.pow(fps / 30, H264_GROWTH) / 1e6;
        return switch (this) {
            case H264 -> h264;
            case H265 -> h264 * H265_OF_H264;
            case MJPEG -> pixels * fps * MJPEG_BITS / 1e6;
        };
    }
}
