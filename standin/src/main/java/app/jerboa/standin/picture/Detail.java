package app.jerboa.standin.picture;

import app.jerboa.core.colour.PaintKnob;
import app.jerboa.core.knob.Knob;
import app.jerboa.standin.device.KnobBank;

/**
 * Edges made harder or softer, flat places left as they are: each pixel is drawn away from, or
 * towards, the mean of the nine around it.
 */
final class Detail {
    private static final String KNOB = PaintKnob.Does.DETAIL.word();

    /** At the end of its run a knob doubles what a pixel differs from those around it. */
    private static final double MOST = 1;

    private Detail() {}

    /** From -1, all differences smoothed away, over 0, nothing done, to 1. */
    static double amount(KnobBank bank) {
        return bank.profile()
                .knob(KNOB)
                .filter(k -> CameraLook.acts(bank, k))
                .map(k -> MOST * turned(k, bank.value(KNOB).orElse(CameraLook.neutral(k))))
                .orElse(0.0);
    }

    /** How far it is turned from where it changes nothing, as a part of its run that way. */
    private static double turned(Knob knob, int value) {
        int neutral = CameraLook.neutral(knob);
        int run = value > neutral ? knob.most() - neutral : neutral - knob.least();
        return run == 0 ? 0 : (double) (value - neutral) / run;
    }

    /**
     * @param pixels 0xRRGGBB, row by row, changed in place; those of the rim stay
     */
    static void add(int[] pixels, int width, double amount) {
        if (amount == 0) {
            return;
        }
        int[] from = pixels.clone();
        int by = (int) Math.round(amount * 256);
        for (int at = width + 1; at < pixels.length - width - 1; at++) {
            int column = at % width;
            if (column != 0 && column != width - 1) {
                pixels[at] =
                        channel(from, at, width, by, 16)
                                | channel(from, at, width, by, 8)
                                | channel(from, at, width, by, 0);
            }
        }
    }

    private static int channel(int[] from, int at, int width, int by, int shift) {
        int sum = 0;
        for (int row = at - width; row <= at + width; row += width) {
            sum +=
                    (from[row - 1] >> shift & 255)
                            + (from[row] >> shift & 255)
                            + (from[row + 1] >> shift & 255);
        }
        int is = from[at] >> shift & 255;
        int out = is + by * (9 * is - sum) / (9 * 256);
        return Math.max(0, Math.min(255, out)) << shift;
    }
}
