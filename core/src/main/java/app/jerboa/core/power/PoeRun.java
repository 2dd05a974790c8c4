package app.jerboa.core.power;

import java.util.Optional;

/** One run of data cable that carries power over Ethernet, at 20 °C. */
public final class PoeRun {
    private static final double AWG24 = Copper.ohmsPerMetre(24, 20, false);

    /** What the connectors of a run add, in ohm. */
    public static final double CONNECTORS = 0.2;

    private PoeRun() {}

    /**
     * Ohm of the loop: each way is two conductors in parallel, four where all pairs carry.
     *
     * @param metres of AWG 24, 0 or more
     */
    public static double ohms(double metres, PoeClass poe) {
        return ohms(metres, AWG24, poe.pairs(), CONNECTORS);
    }

    /**
     * Ohm of the loop of any cable.
     *
     * @param ohmsPerMetre of one conductor
     * @param pairs that carry, 2 or 4
     * @param connectors what they add
     */
    public static double ohms(double metres, double ohmsPerMetre, int pairs, double connectors) {
        double twoPairs = ohmsPerMetre * metres;
        return (pairs == 4 ? twoPairs / 2 : twoPairs) + connectors;
    }

    /**
     * The longest run of AWG 24 on which the device still sees its least volts; the standard allows
     * 100 m whatever the volts.
     *
     * @param deviceWatts above 0
     * @return metres, 0 or more
     */
    public static double longest(PoeClass poe, double deviceWatts) {
        double least = Math.max(poe.deviceVolts(), poe.portVolts() / 2);
        double loop = (poe.portVolts() - least) * least / deviceWatts;
        double perMetre = AWG24 / (poe.pairs() == 4 ? 2 : 1);
        return Math.max(0, (loop - CONNECTORS) / perMetre);
    }

    /** Empty when the device cannot run there. */
    public static Optional<ConstantLoad> of(double metres, PoeClass poe, double deviceWatts) {
        return ConstantLoad.of(poe.portVolts(), ohms(metres, poe), deviceWatts)
                .filter(l -> l.volts() >= poe.deviceVolts());
    }
}
