package app.jerboa.core.job.identity;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * The numbers of one line, each counted from 1.
 *
 * @param values what stands there; aspects that the line does not have, or that could not hold its
 *     label, are left out
 * @param most the highest number an aspect can hold; left out for no bound
 */
public record Numbers(long line, Map<Aspect, Integer> values, Map<Aspect, Integer> most) {
    public Numbers {
        values = Collections.unmodifiableMap(new EnumMap<>(values));
        most = most.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(most));
    }

    /** Whether an aspect says another number. */
    public boolean differs(Aspect aspect, int number) {
        Integer value = values.get(aspect);
        return value != null && value != number;
    }

    /** Whether every aspect it has can hold this number. */
    public boolean holds(int number) {
        return values.keySet().stream()
                .allMatch(a -> number <= most.getOrDefault(a, Integer.MAX_VALUE));
    }

    /** What it costs to make everything say this number. */
    public int cost(int number) {
        return values.keySet().stream()
                .filter(a -> differs(a, number))
                .mapToInt(Aspect::cost)
                .sum();
    }

    /** Its own aspects do not all say what its label says. */
    public boolean disagrees() {
        int label = values.get(Aspect.LABEL);
        return values.keySet().stream().anyMatch(a -> differs(a, label));
    }
}
