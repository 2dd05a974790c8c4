package app.jerboa.standin.picture;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.motion.Lens;
import app.jerboa.standin.device.KnobBank;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a lens is set: how long, how far open, and at what distance it is sharp.
 *
 * @param focalMm and {@code sensorWidthMm} in millimetres
 * @param fNumber focal length by the width of its opening
 * @param sharpAt metres; infinite for one set to the far end of its ring
 */
record Optics(double focalMm, double sensorWidthMm, double fNumber, double sharpAt) {
    static final String FOCUS = "focus";
    private static final String IRIS = "iris";
    private static final double MILLIMETRES = 1000;

    /** Wide open, as an automatic has it in a hall. */
    private static final double OPEN = 2.0;

    /** As near as a ring's near end is sharp. */
    private static final double NEAREST_METRES = 1;

    /**
     * @param zoom 0 to 1
     * @param middle metres to what stands in the middle of the picture: an automatic is sharp there
     */
    static Optics of(Lens lens, double zoom, KnobBank bank, double middle) {
        double sharpAt =
                bank.profile()
                        .knob(FOCUS)
                        .filter(k -> CameraLook.acts(bank, k))
                        .map(k -> metres(k, bank.value(FOCUS).orElse(k.most())))
                        .orElse(middle);
        return new Optics(lens.focalMm(zoom), lens.sensorWidthMm(), fNumber(bank), sharpAt);
    }

    /** The upper end of the iris' run is open; each stop down is a root of two more. */
    private static double fNumber(KnobBank bank) {
        Optional<Knob> iris = bank.profile().knob(IRIS).filter(k -> CameraLook.acts(bank, k));
        OptionalInt stands = bank.value(IRIS);
        if (iris.isEmpty() || stands.isEmpty()) {
            return OPEN;
        }
        double effect = bank.trueEffect(IRIS);
        int open = effect > 0 ? iris.get().most() : iris.get().least();
        double stops = Math.abs(effect * (open - stands.getAsInt()));
        return OPEN * Math.pow(2, stops / 2);
    }

    /** A ring runs from near to far, closer and closer together in metres towards the near end. */
    static double metres(Knob focus, int at) {
        double share = (double) (at - focus.least()) / (focus.most() - focus.least());
        return NEAREST_METRES / ((1 - share) * (1 - share));
    }

    /** Where a ring stands that is sharp at this distance; the other way round. */
    static int ring(Knob focus, double metres) {
        double share = 1 - Math.sqrt(NEAREST_METRES / Math.max(NEAREST_METRES, metres));
        return (int) Math.round(focus.least() + share * (focus.most() - focus.least()));
    }

    /**
     * How large a point at this distance is drawn, as a share of the picture's width: the circle of
     * confusion of a thin lens, f²/N |1/s - 1/d|.
     *
     * @param metres above 0; infinite for what is far off
     */
    double circle(double metres) {
        double apart = Math.abs(1 / sharpAt - 1 / metres);
        return focalMm * focalMm / fNumber * apart / MILLIMETRES / sensorWidthMm;
    }
}
