package app.jerboa.core.colour;

/**
 * One thing that can be turned on a camera's picture.
 *
 * @param what it does
 * @param least and {@code most}: how it can stand
 * @param now how it stands
 * @param effect of one step up, signed, in the unit of what it does
 */
public record PaintKnob(String name, Does what, int least, int most, int now, double effect) {
    /** Its place in the model of a camera. */
    public enum Does {
        /** dB on red. */
        RED_GAIN("red-gain"),
        BLUE_GAIN("blue-gain"),
        /** dB on all. */
        GAIN("gain"),
        /** Stops of light. */
        IRIS("iris"),
        ND_FILTER("nd-filter"),
        /** Per cent of full scale added to all. */
        MASTER_BLACK("master-black"),
        RED_BLACK("red-black"),
        BLUE_BLACK("blue-black"),
        /** Added to the exponent. */
        GAMMA("gamma"),
        /** Added to a factor of 1. */
        SATURATION("saturation"),
        /** Degrees from red towards green. */
        HUE("hue"),
        /** Nothing that a square shows. */
        DETAIL("detail");

        private final String word;

        Does(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public PaintKnob {
        if (least > most || now < least || now > most) {
            throw new IllegalArgumentException(
                    name + " stands at " + now + ", which is not " + least + " to " + most);
        }
    }
}
