package app.jerboa.core.job.identity;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.identity.Repatch.Change;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Lines in another order. The numbers stay where they are and the cameras move through them: all of
 * a line's numbers that said the old one say the new one, the others are left alone.
 */
public final class LineOrder {
    private LineOrder() {}

    /**
     * @param line id of the one that moves
     * @param to its new place among the lines, from 0; beyond the ends is the end
     * @return nothing to change when it stands there already or the job has no such line
     */
    public static ChangeSet moved(Job job, long line, int to) {
        List<Line> order = new ArrayList<>(job.lines());
        Line moving = order.stream().filter(l -> l.id() == line).findFirst().orElse(null);
        if (moving == null) {
            return ChangeSet.NONE;
        }
        order.remove(moving);
        order.add(Math.max(0, Math.min(to, order.size())), moving);
        List<Integer> numbers =
                job.lines().stream().map(Line::number).sorted(Comparator.naturalOrder()).toList();
        LineNumbers all = LineNumbers.of(job);
        List<Change> changes = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            if (order.get(i).number() != numbers.get(i)) {
                renumber(all.of(order.get(i)), numbers.get(i), changes);
            }
        }
        return all.edits(changes);
    }

    private static void renumber(Numbers line, int to, List<Change> changes) {
        int from = line.values().get(Aspect.LABEL);
        line.values()
                .forEach(
                        (aspect, value) -> {
                            boolean followed = value == from;
                            boolean fits = to <= line.most().getOrDefault(aspect, to);
                            if (followed && fits) {
                                changes.add(new Change(line.line(), aspect, from, to));
                            }
                        });
    }
}
