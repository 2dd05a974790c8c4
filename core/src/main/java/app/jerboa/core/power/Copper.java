package app.jerboa.core.power;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Resistance of copper conductors by American wire gauge. */
public final class Copper {
    /** Ohm per kilometre of one conductor at 20 °C. */
    private static final Map<Integer, Double> OHMS_PER_KM =
            new TreeMap<>(
                    Map.of(
                            12, 5.211, 14, 8.286, 16, 13.17, 18, 20.95, 20, 33.31, 22, 52.96, 23,
                            66.79, 24, 84.22, 26, 133.9, 28, 212.9));

    /** Per degree, of copper. */
    private static final double PER_DEGREE = 0.00393;

    /** Copper-clad aluminium against copper of the same gauge. */
    private static final double CLAD = 1.6;

    /** Thickest first. */
    public static final List<Integer> GAUGES = List.copyOf(OHMS_PER_KM.keySet());

    private Copper() {}

    /**
     * Ohm per metre of one conductor.
     *
     * @param gauge one of {@link #GAUGES}
     * @param celsius of the conductor
     * @param clad aluminium with a skin of copper; not permitted for power over Ethernet
     * @throws IllegalArgumentException for a gauge that is not in the table
     */
    public static double ohmsPerMetre(int gauge, double celsius, boolean clad) {
        Double table = OHMS_PER_KM.get(gauge);
        if (table == null) {
            throw new IllegalArgumentException("gauge is one of " + GAUGES + ", got " + gauge);
        }
        return table / 1000 * (1 + PER_DEGREE * (celsius - 20)) * (clad ? CLAD : 1);
    }
}
