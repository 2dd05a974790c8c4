package app.jerboa.core.serial;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/** Leads that come in fixed lengths, put end to end. */
public final class Leads {
    private static final int MOST = 12;

    private Leads() {}

    /**
     * The fewest leads that cover a run; of those the least slack. Longest first.
     *
     * @param metres of the run, 0 or more
     * @param lengths on offer, in metres, each as often as wanted
     * @return empty when twelve are not enough, or none is on offer
     */
    public static List<Double> cover(double metres, List<Double> lengths) {
        List<Double> offered =
                lengths.stream().distinct().sorted(Collections.reverseOrder()).toList();
        for (int count = 1; count <= MOST && !offered.isEmpty(); count++) {
            if (offered.get(0) * count >= metres) {
                return least(metres, offered, 0, count).orElseThrow();
            }
        }
        return List.of();
    }

    private static Optional<List<Double>> least(
            double metres, List<Double> offered, int from, int count) {
        if (count == 0) {
            return metres <= 0 ? Optional.of(List.of()) : Optional.empty();
        }
        List<Double> best = null;
        for (int i = from; i < offered.size(); i++) {
            double length = offered.get(i);
            // Shorter ones than this can no longer reach.
            if (length * count < metres) {
                break;
            }
            var rest = least(metres - length, offered, i, count - 1);
            if (rest.isPresent() && (best == null || sum(rest.get()) + length < sum(best))) {
                best = new ArrayList<>(List.of(length));
                best.addAll(rest.get());
            }
        }
        return Optional.ofNullable(best);
    }

    private static double sum(List<Double> leads) {
        return leads.stream().mapToDouble(Double::doubleValue).sum();
    }
}
