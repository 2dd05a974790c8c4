package app.jerboa.core.shot;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * A camera that is off air and has another view to go to before its next take, while a list is run.
 *
 * @param take its next, from 0
 * @param needed seconds of travel and settling; 0 where nobody knows where it stands
 * @param free seconds until that take is due
 */
public record Sending(int take, double needed, double free) {
    /** Before the first take. */
    public static final int NOT_BEGUN = -1;

    /**
     * Where a run stands.
     *
     * @param at the take on air, or {@link #NOT_BEGUN}
     * @param next the take that is up next; the number of takes when there is none
     * @param elapsed seconds since {@code at} went on air
     * @param where the preset at which each camera stands, both by their places; none where nobody
     *     knows
     */
    public record Now(int at, int next, double elapsed, Map<Integer, Integer> where) {
        public Now {
            where = Map.copyOf(where);
        }
    }

    public boolean inTime() {
        return needed - free <= ShotList.HAIR;
    }

    /** What is to be sent, in order of takes: each camera but the one on air, to its next view. */
    public static List<Sending> of(ShotList list, Now now) {
        Set<Integer> seen = new HashSet<>();
        if (now.at() != NOT_BEGUN) {
            seen.add(list.camera(now.at()));
        }
        return IntStream.range(now.next(), list.takes().size())
                .filter(t -> seen.add(list.camera(t)))
                .boxed()
                .flatMap(t -> sending(list, now, t).stream())
                .toList();
    }

    private static Optional<Sending> sending(ShotList list, Now now, int take) {
        int to = list.takes().get(take).preset();
        Integer from = now.where().get(list.camera(take));
        if (!list.presets().get(to).known() || from != null && from == to) {
            return Optional.empty();
        }
        double needed = from == null ? 0 : list.needed(from, to);
        return Optional.of(new Sending(take, needed, free(list, now, take)));
    }

    /** The take on air lasts as planned, then come the next and those after it as planned. */
    private static double free(ShotList list, Now now, int take) {
        if (now.at() == NOT_BEGUN) {
            return Double.POSITIVE_INFINITY;
        }
        double left = list.end(now.at()) - list.takes().get(now.at()).start() - now.elapsed();
        return left + list.takes().get(take).start() - list.takes().get(now.next()).start();
    }
}
