package app.jerboa.core.power;

import java.util.Optional;

/**
 * DC over a run to one load at its end.
 *
 * @param loopOhms there and back
 * @param deviceVolts at the load; empty when the run cannot carry that power at all
 * @param works the load sees its least volts
 * @param longestMetres on which it still does
 */
public record DcRun(
        double loopOhms, Optional<Double> deviceVolts, boolean works, double longestMetres) {
    /**
     * A load that always draws the same current.
     *
     * @param ohmsPerMetre of the loop, above 0
     */
    public static DcRun current(
            double supplyVolts, double amps, double metres, double ohmsPerMetre, double least) {
        double loop = ohmsPerMetre * metres;
        double volts = supplyVolts - amps * loop;
        double longest = Math.max(0, (supplyVolts - least) / (amps * ohmsPerMetre));
        return new DcRun(loop, Optional.of(volts), volts >= least, longest);
    }

    /**
     * A load that always draws the same power. Its longest run is where it sits at the larger of
     * its least volts and half the supply's, below which no current is enough.
     *
     * @param ohmsPerMetre of the loop, above 0
     */
    public static DcRun power(
            double supplyVolts, double watts, double metres, double ohmsPerMetre, double least) {
        double loop = ohmsPerMetre * metres;
        Optional<Double> volts = ConstantLoad.of(supplyVolts, loop, watts).map(ConstantLoad::volts);
        double lowest = Math.max(least, supplyVolts / 2);
        double longest = Math.max(0, (supplyVolts - lowest) * lowest / watts / ohmsPerMetre);
        return new DcRun(loop, volts, volts.filter(v -> v >= least).isPresent(), longest);
    }

    /**
     * Ohm per metre of run, there and back.
     *
     * @param conductorsPerLeg bonded in parallel on each way, at least 1
     */
    public static double ohmsPerMetre(int gauge, int conductorsPerLeg, double celsius) {
        return 2 * Copper.ohmsPerMetre(gauge, celsius, false) / conductorsPerLeg;
    }
}
