package app.jerboa.core.motion;

/**
 * How one person likes the heads of one kind to answer the stick.
 *
 * @param deadZone share of the travel that does nothing, 0 to 0.5
 * @param k bend of the law, 0 (linear) to 10
 * @param rampSeconds from standing to full speed, 0 (at once) to 3
 * @param speeds at most
 * @param crossingSeconds at full deflection the picture takes at least so long to cross, however
 *     far it is zoomed in; 0 for no such care, else to 60
 */
public record Feel(
        double deadZone, double k, double rampSeconds, Speeds speeds, double crossingSeconds) {
    public static final double WIDEST_DEAD_ZONE = 0.5;
    public static final double STEEPEST = 10;
    public static final double LONGEST_RAMP = 3;
    public static final double LEAST_LIMIT = 0.05;
    public static final double LONGEST_CROSSING = 60;

    /**
     * Shares of full speed, 0.05 to 1 each.
     *
     * @param recall of going to a stored view, where the camera can be told how fast
     */
    public record Speeds(double pan, double tilt, double zoom, double focus, double recall) {
        public static final Speeds FULL = new Speeds(1, 1, 1, 1, 1);

        /**
         * @throws Impossible for a value out of its range
         */
        public Speeds {
            within("pan", LEAST_LIMIT, 1, pan);
            within("tilt", LEAST_LIMIT, 1, tilt);
            within("zoom", LEAST_LIMIT, 1, zoom);
            within("focus", LEAST_LIMIT, 1, focus);
            within("recall", LEAST_LIMIT, 1, recall);
        }

        /**
         * @param steps that a camera has for its way to a stored view
         * @return 1 to steps
         */
        public int recallStep(int steps) {
            return (int) Math.max(1, Math.floor(recall * steps + 0.5));
        }
    }

    private static final double USUAL_RAMP = 0.3;
    private static final double USUAL_CROSSING = 5;

    /** A value of a feel that cannot be. */
    public static final class Impossible extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;
        private final String field;

        Impossible(String field, double least, double most, double is) {
            super("must be " + least + " to " + most + ", is " + is);
            this.field = field;
        }

        public String field() {
            return field;
        }
    }

    /**
     * @throws Impossible for a value out of its range
     */
    public Feel {
        within("deadZone", 0, WIDEST_DEAD_ZONE, deadZone);
        within("k", 0, STEEPEST, k);
        within("rampSeconds", 0, LONGEST_RAMP, rampSeconds);
        within("crossingSeconds", 0, LONGEST_CROSSING, crossingSeconds);
    }

    private static void within(String field, double least, double most, double is) {
        if (!(is >= least && is <= most)) {
            throw new Impossible(field, least, most, is);
        }
    }

    /** What a person has who set nothing: a soft beginning, and care when zoomed in. */
    public static Feel usual(StickLaw law) {
        return new Feel(law.deadZone(), law.k(), USUAL_RAMP, Speeds.FULL, USUAL_CROSSING);
    }

    /** What a program drives by: nothing but the law. */
    public static Feel plain(StickLaw law) {
        return new Feel(law.deadZone(), law.k(), 0, Speeds.FULL, 0);
    }

    /** The law without any limit. */
    public StickLaw law() {
        return new StickLaw(deadZone, k, 1);
    }
}
