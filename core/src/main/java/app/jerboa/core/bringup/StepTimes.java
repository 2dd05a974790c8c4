package app.jerboa.core.bringup;

import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Seconds of a technician's time per kind of work.
 *
 * @param seconds of every kind
 */
public record StepTimes(Map<Work, Integer> seconds) {
    /** So many of a kind must have been done before their mean says more than the default. */
    public static final int ENOUGH = 3;

    /** Taken longer than so many times the default, it held a pause. */
    private static final int PAUSE = 10;

    public StepTimes {
        seconds = Collections.unmodifiableMap(new EnumMap<>(seconds));
    }

    public static StepTimes usual() {
        Map<Work, Integer> usual = new EnumMap<>(Work.class);
        for (Work work : Work.values()) {
            usual.put(work, work.usual());
        }
        return new StepTimes(usual);
    }

    public int of(Work work) {
        return seconds.get(work);
    }

    public StepTimes with(Work work, int value) {
        Map<Work, Integer> next = new EnumMap<>(seconds);
        next.put(work, value);
        return new StepTimes(next);
    }

    /**
     * With the mean of what was really taken in place of the default, for every kind that was done
     * {@value #ENOUGH} times; times that held a pause do not count.
     *
     * @param taken seconds, kind by kind
     */
    public StepTimes learning(Map<Work, ? extends Collection<Integer>> taken) {
        StepTimes next = this;
        for (Map.Entry<Work, ? extends Collection<Integer>> e : taken.entrySet()) {
            List<Integer> counting = counting(e.getKey(), e.getValue());
            if (counting.size() >= ENOUGH) {
                double mean = counting.stream().mapToInt(Integer::intValue).average().orElseThrow();
                next = next.with(e.getKey(), Math.max(1, (int) Math.round(mean)));
            }
        }
        return next;
    }

    /** Those of the times taken that count. */
    public List<Integer> counting(Work work, Collection<Integer> taken) {
        return taken.stream().filter(s -> s <= (long) of(work) * PAUSE).toList();
    }
}
