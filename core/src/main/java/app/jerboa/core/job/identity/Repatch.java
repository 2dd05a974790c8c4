package app.jerboa.core.job.identity;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Ways to bring every line's numbers into agreement: each numbering in force as the truth, and the
 * cheapest mixture of them.
 */
public final class Repatch {
    /** A knot of more lines than this is only offered whole numberings. */
    static final int LARGEST_KNOT = 150;

    /** More than all real prices together. */
    private static final int IMPOSSIBLE = 10_000_000;

    /**
     * One thing to change.
     *
     * @param from the number that stands there
     */
    public record Change(long line, Aspect aspect, int from, int to) {}

    /**
     * One way to agreement.
     *
     * @param truth the numbering that stays; empty for the cheapest mixture
     * @param cost sum of what its changes cost
     */
    public record Way(Optional<Aspect> truth, int cost, List<Change> changes) {
        public Way {
            changes = List.copyOf(changes);
        }

        private long leads() {
            return changes.stream().filter(c -> c.aspect() == Aspect.INPUT).count();
        }
    }

    private final List<Numbers> lines;
    private final Map<Integer, Long> owners = new HashMap<>();

    private Repatch(List<Numbers> lines) {
        this.lines = lines;
    }

    /**
     * Cheapest first, ties to the change that leaves leads where they are; empty when all agree or
     * nothing can make them.
     */
    public static List<Way> ways(List<Numbers> lines) {
        Repatch repatch = new Repatch(lines);
        List<List<Numbers>> knots = repatch.knots();
        if (knots.isEmpty()) {
            return List.of();
        }
        Stream<Optional<Way>> whole = Stream.of(Aspect.values()).map(a -> repatch.truth(a, knots));
        Stream<Optional<Way>> mixed =
                knots.stream().allMatch(k -> k.size() <= LARGEST_KNOT)
                        ? Stream.of(repatch.mixture(knots))
                        : Stream.empty();
        Map<List<Change>, Way> distinct = new LinkedHashMap<>();
        Stream.concat(whole, mixed)
                .flatMap(Optional::stream)
                .forEach(w -> distinct.putIfAbsent(w.changes(), w));
        return distinct.values().stream()
                .sorted(Comparator.comparingInt(Way::cost).thenComparingLong(Way::leads))
                .toList();
    }

    /** Lines that share numbers with one that disagrees; lines that stand aside are left alone. */
    private List<List<Numbers>> knots() {
        Map<Integer, List<Numbers>> byNumber = new HashMap<>();
        for (Numbers line : lines) {
            numbers(line)
                    .forEach(n -> byNumber.computeIfAbsent(n, x -> new ArrayList<>()).add(line));
        }
        Set<Long> seen = new HashSet<>();
        List<List<Numbers>> knots = new ArrayList<>();
        for (Numbers line : lines) {
            if (line.disagrees() && seen.add(line.line())) {
                List<Numbers> knot = new ArrayList<>();
                Deque<Numbers> open = new ArrayDeque<>(List.of(line));
                while (!open.isEmpty()) {
                    Numbers next = open.poll();
                    knot.add(next);
                    for (int n : numbers(next)) {
                        byNumber.get(n).stream().filter(o -> seen.add(o.line())).forEach(open::add);
                    }
                }
                knots.add(knot);
            }
        }
        Set<Long> knotted = new HashSet<>();
        knots.forEach(k -> k.forEach(l -> knotted.add(l.line())));
        lines.stream()
                .filter(l -> !knotted.contains(l.line()))
                .forEach(l -> numbers(l).forEach(n -> owners.put(n, l.line())));
        return knots;
    }

    /** What a line says about itself, where it could say it. */
    private static Set<Integer> numbers(Numbers line) {
        return new TreeSet<>(line.values().values());
    }

    private Optional<Way> truth(Aspect truth, List<List<Numbers>> knots) {
        if (knots.stream().flatMap(List::stream).noneMatch(l -> l.values().containsKey(truth))) {
            return Optional.empty();
        }
        Map<Numbers, Integer> targets = new LinkedHashMap<>();
        Set<Integer> taken = new HashSet<>(owners.keySet());
        for (List<Numbers> knot : knots) {
            for (Numbers line : knot) {
                Integer value = line.values().get(truth);
                if (value != null && !taken.add(value)) {
                    return Optional.empty();
                } else if (value != null) {
                    targets.put(line, value);
                }
            }
        }
        for (List<Numbers> knot : knots) {
            for (Numbers line : knot) {
                if (!targets.containsKey(line)) {
                    int label = line.values().get(Aspect.LABEL);
                    int number = label;
                    for (int n = 1; !taken.add(number); n++) {
                        number = n;
                    }
                    targets.put(line, number);
                }
            }
        }
        return way(Optional.of(truth), targets);
    }

    private Optional<Way> mixture(List<List<Numbers>> knots) {
        Map<Numbers, Integer> targets = new LinkedHashMap<>();
        Set<Integer> given = new HashSet<>(owners.keySet());
        for (List<Numbers> knot : knots) {
            List<Integer> free = candidates(knot, given);
            int[][] cost = new int[knot.size()][free.size()];
            for (int row = 0; row < knot.size(); row++) {
                for (int c = 0; c < free.size(); c++) {
                    cost[row][c] = price(knot.get(row), free.get(c));
                }
            }
            int[] column = Assignment.cheapest(cost);
            for (int row = 0; row < knot.size(); row++) {
                targets.put(knot.get(row), free.get(column[row]));
                given.add(free.get(column[row]));
            }
        }
        return way(Optional.empty(), targets);
    }

    /** In thousandths, so that of two equal sums the one without moved leads is the less. */
    private static int price(Numbers line, int number) {
        if (!line.holds(number)) {
            return IMPOSSIBLE;
        }
        return line.cost(number) * 1000 + (line.differs(Aspect.INPUT, number) ? 1 : 0);
    }

    /** The knot's own numbers, and as many that no line has. */
    private static List<Integer> candidates(List<Numbers> knot, Set<Integer> given) {
        Set<Integer> numbers = new TreeSet<>();
        knot.forEach(l -> numbers.addAll(numbers(l)));
        numbers.removeAll(given);
        int wanted = numbers.size() + knot.size();
        for (int n = 1; numbers.size() < wanted; n++) {
            if (!given.contains(n)) {
                numbers.add(n);
            }
        }
        return List.copyOf(numbers);
    }

    private static Optional<Way> way(Optional<Aspect> truth, Map<Numbers, Integer> targets) {
        if (targets.entrySet().stream().anyMatch(e -> !e.getKey().holds(e.getValue()))) {
            return Optional.empty();
        }
        List<Change> changes = new ArrayList<>();
        int cost = 0;
        for (Map.Entry<Numbers, Integer> e : targets.entrySet()) {
            for (Aspect aspect : Aspect.values()) {
                if (e.getKey().differs(aspect, e.getValue())) {
                    int from = e.getKey().values().get(aspect);
                    changes.add(new Change(e.getKey().line(), aspect, from, e.getValue()));
                    cost += aspect.cost();
                }
            }
        }
        return Optional.of(new Way(truth, cost, changes));
    }
}
