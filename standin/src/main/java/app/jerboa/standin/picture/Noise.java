package app.jerboa.standin.picture;

import java.util.Random;

/** What a sensor adds to a dim picture: every pixel off by a little, another little each time. */
final class Noise {
    /** Code values, one standard deviation, without any gain: less than eight bits can show. */
    private static final double WITHOUT_GAIN = 0.4;

    private static final double MOST = 12;
    private static final double SEEN = 0.5;

    /** A prime length, so that rows do not repeat each other. */
    private static final float[] TABLE = table(65_521);

    private Noise() {}

    private static float[] table(int length) {
        Random random = new Random(1);
        float[] table = new float[length];
        for (int i = 0; i < length; i++) {
            table[i] = (float) random.nextGaussian();
        }
        return table;
    }

    /**
     * One standard deviation in code values.
     *
     * @param gainDb of the camera's amplifier
     */
    static double deviation(double gainDb) {
        return Math.min(MOST, WITHOUT_GAIN * Math.pow(10, gainDb / 20));
    }

    /**
     * @param pixels 0xRRGGBB, changed in place
     * @param seed another for each picture
     */
    static void add(int[] pixels, double deviation, long seed) {
        if (deviation < SEEN) {
            return;
        }
        float by = (float) deviation;
        int at = Math.floorMod(seed * 7_919, TABLE.length);
        for (int i = 0; i < pixels.length; i++) {
            int rgb = pixels[i];
            int red = off(rgb >> 16 & 255, by * TABLE[at]);
            at = at + 1 == TABLE.length ? 0 : at + 1;
            int green = off(rgb >> 8 & 255, by * TABLE[at]);
            at = at + 1 == TABLE.length ? 0 : at + 1;
            int blue = off(rgb & 255, by * TABLE[at]);
            at = at + 1 == TABLE.length ? 0 : at + 1;
            pixels[i] = red << 16 | green << 8 | blue;
        }
    }

    private static int off(int code, float by) {
        return Math.max(0, Math.min(255, Math.round(code + by)));
    }
}
