package app.jerboa.standin.picture;

/**
 * Smears each pixel by its own radius: once along the rows and once along the columns, each in one
 * run over sums, so that it costs the same whatever the radius.
 */
final class Blur {
    /** Red, green and blue are summed at once, in thirds of a long; 255 x 4,096 pixels fit each. */
    private static final int LANE = 21;

    private static final long IN_LANE = (1L << LANE) - 1;

    private Blur() {}

    /**
     * @param pixels 0xRRGGBB, row by row; smeared in place
     * @param radius of each, in pixels, 0 to 127
     */
    static void smear(int[] pixels, byte[] radius, int width) {
        int height = pixels.length / width;
        int[] turned = new int[pixels.length];
        for (int y = 0; y < height; y++) {
            line(pixels, y * width, width, radius, y * width, 1, turned, y, height);
        }
        for (int x = 0; x < width; x++) {
            line(turned, x * height, height, radius, x, width, pixels, x, width);
        }
    }

    /** One run of pixels, written across. */
    private static void line(
            int[] from,
            int start,
            int length,
            byte[] radius,
            int firstRadius,
            int radiusStep,
            int[] to,
            int firstTo,
            int toStep) {
        long[] sums = new long[length + 1];
        for (int i = 0; i < length; i++) {
            sums[i + 1] = sums[i] + spread(from[start + i]);
        }
        for (int i = 0; i < length; i++) {
            int r = radius[firstRadius + i * radiusStep];
            int low = Math.max(0, i - r);
            int high = Math.min(length, i + r + 1);
            to[firstTo + i * toStep] =
                    r == 0 ? from[start + i] : mean(sums[high] - sums[low], high - low);
        }
    }

    private static long spread(int rgb) {
        return ((long) (rgb >> 16 & 255) << 2 * LANE)
                | ((long) (rgb >> 8 & 255) << LANE)
                | rgb & 255;
    }

    private static int mean(long sums, int count) {
        int half = count / 2;
        int red = (int) ((sums >> 2 * LANE) + half) / count;
        int green = (int) ((sums >> LANE & IN_LANE) + half) / count;
        int blue = (int) ((sums & IN_LANE) + half) / count;
        return red << 16 | green << 8 | blue;
    }
}
