package app.jerboa.core.power;

import java.util.Optional;

/** One run of data cable that carries power over Ethernet, at 20 °C. */
public final class PoeRun {
    /** Ohm per kilometre of one conductor of AWG 24 copper at 20 °C. */
    private static final double AWG24 = 84.22;

    /** What the connectors of a run add, in ohm. */
    private static final double CONNECTORS = 0.2;

    private PoeRun() {}

    /**
     * Ohm of the loop: each way is two conductors in parallel, four where all pairs carry.
     *
     * @param metres of AWG 24, 0 or more
     */
    public static double ohms(double metres, PoeClass poe) {
        double twoPairs = AWG24 / 1000 * metres;
        return (poe.pairs() == 4 ? twoPairs / 2 : twoPairs) + CONNECTORS;
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
        double perMetre = AWG24 / 1000 / (poe.pairs() == 4 ? 2 : 1);
        return Math.max(0, (loop - CONNECTORS) / perMetre);
    }

    /** Empty when the device cannot run there. */
    public static Optional<ConstantLoad> of(double metres, PoeClass poe, double deviceWatts) {
        return ConstantLoad.of(poe.portVolts(), ohms(metres, poe), deviceWatts)
                .filter(l -> l.volts() >= poe.deviceVolts());
    }
}
