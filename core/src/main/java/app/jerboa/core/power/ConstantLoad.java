package app.jerboa.core.power;

import java.util.Optional;

/**
 * A load that draws the same power whatever volts reach it, at the end of a run.
 *
 * @param amps in the run
 * @param sourceWatts what the source gives
 * @param volts left at the load
 */
public record ConstantLoad(double amps, double sourceWatts, double volts) {

    /**
     * Solves V I - I² R = P for the smaller current: I = (V - sqrt(V² - 4 R P)) / 2R.
     *
     * @param volts at the source, above 0
     * @param ohms of the whole loop, 0 or more
     * @param watts at the load, 0 or more
     * @return empty when the run cannot carry that much at all
     */
    public static Optional<ConstantLoad> of(double volts, double ohms, double watts) {
        if (!(volts > 0 && ohms >= 0 && watts >= 0)) {
            throw new IllegalArgumentException(
                    "volts above 0, ohms and watts 0 or more, got "
                            + volts
                            + ", "
                            + ohms
                            + ", "
                            + watts);
        }
        if (ohms == 0) {
            return Optional.of(new ConstantLoad(watts / volts, watts, volts));
        }
        double root = volts * volts - 4 * ohms * watts;
        if (root < 0) {
            return Optional.empty();
        }
        double amps = (volts - Math.sqrt(root)) / (2 * ohms);
        return Optional.of(new ConstantLoad(amps, volts * amps, volts - amps * ohms));
    }
}
