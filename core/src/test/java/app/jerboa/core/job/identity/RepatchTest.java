package app.jerboa.core.job.identity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RepatchTest {
    private static Numbers line(long id, int label, int controlId, int key, int input) {
        Map<Aspect, Integer> values = new EnumMap<>(Aspect.class);
        values.put(Aspect.LABEL, label);
        values.put(Aspect.ID, controlId);
        values.put(Aspect.KEY, key);
        values.put(Aspect.INPUT, input);
        return new Numbers(id, values, Map.of());
    }

    @Test
    void crossedLeadsAreMovedSinceAllElseAgrees() {
        List<Repatch.Way> ways =
                Repatch.ways(
                        List.of(line(1, 4, 4, 4, 4), line(2, 5, 5, 5, 6), line(3, 6, 6, 6, 5)));
        assertThat(ways.get(0).cost()).isEqualTo(6);
        assertThat(ways.get(0).truth()).contains(Aspect.LABEL);
        assertThat(ways.get(0).changes())
                .containsExactly(
                        new Repatch.Change(2, Aspect.INPUT, 6, 5),
                        new Repatch.Change(3, Aspect.INPUT, 5, 6));
        assertThat(ways)
                .anySatisfy(
                        w -> {
                            assertThat(w.truth()).contains(Aspect.INPUT);
                            assertThat(w.cost()).isEqualTo(8);
                        });
    }

    /** Equal cost: whoever leaves the leads where they are goes first. */
    @Test
    void aTieKeepsTheLeads() {
        Map<Aspect, Integer> values = Map.of(Aspect.LABEL, 1, Aspect.ID, 1, Aspect.INPUT, 2);
        List<Repatch.Way> ways = Repatch.ways(List.of(new Numbers(1, values, Map.of())));
        assertThat(ways.get(0).cost()).isEqualTo(3);
        assertThat(ways.get(0).changes())
                .extracting(Repatch.Change::aspect)
                .doesNotContain(Aspect.INPUT);
    }

    @Test
    void noNumberIsGivenThatAnIdCannotHold() {
        Map<Aspect, Integer> most = Map.of(Aspect.ID, 2);
        Numbers one = new Numbers(1, Map.of(Aspect.LABEL, 1, Aspect.ID, 1), most);
        Numbers two = new Numbers(2, Map.of(Aspect.LABEL, 2, Aspect.ID, 1), most);
        Numbers also = new Numbers(3, Map.of(Aspect.LABEL, 2, Aspect.ID, 2), most);
        assertThat(Repatch.ways(List.of(one, two)).get(0).changes())
                .containsExactly(new Repatch.Change(2, Aspect.ID, 1, 2));
        assertThat(Repatch.ways(List.of(one, two, also))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1", "2", "3", "4", "5", "6"})
    void theCheapestEqualsBruteForce(int size) {
        Random random = new Random(size);
        for (int round = 0; round < 60; round++) {
            List<Numbers> lines = random(size, random);
            List<Repatch.Way> ways = Repatch.ways(lines);
            int least = bruteForce(lines);
            assertThat(ways.isEmpty() ? 0 : ways.get(0).cost()).as("%s", lines).isEqualTo(least);
            ways.forEach(w -> agrees(lines, w));
        }
    }

    private static List<Numbers> random(int size, Random random) {
        List<Integer> labels = new ArrayList<>(shuffled(size, random));
        List<Integer> keys = shuffled(size, random);
        List<Integer> inputs = shuffled(size, random);
        List<Numbers> lines = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            Map<Aspect, Integer> values = new EnumMap<>(Aspect.class);
            values.put(Aspect.LABEL, labels.get(i));
            values.put(Aspect.KEY, keys.get(i));
            if (random.nextBoolean()) {
                values.put(Aspect.INPUT, inputs.get(i));
            }
            if (random.nextBoolean()) {
                values.put(Aspect.ID, 1 + random.nextInt(size + 1));
            }
            lines.add(new Numbers(i + 1, values, Map.of(Aspect.ID, 1 + size / 2)));
        }
        return lines.stream().map(RepatchTest::comparable).toList();
    }

    /** As the job does: an aspect that cannot hold the label's number is left out. */
    private static Numbers comparable(Numbers line) {
        Map<Aspect, Integer> values = new EnumMap<>(line.values());
        int label = values.get(Aspect.LABEL);
        values.keySet().removeIf(a -> label > line.most().getOrDefault(a, Integer.MAX_VALUE));
        return new Numbers(line.line(), values, line.most());
    }

    private static List<Integer> shuffled(int size, Random random) {
        List<Integer> numbers = new ArrayList<>();
        for (int n = 1; n <= size; n++) {
            numbers.add(n);
        }
        // Mostly in order, as in a real hall.
        for (int i = 0; i < random.nextInt(3) && size > 1; i++) {
            int a = random.nextInt(size);
            int b = random.nextInt(size);
            int kept = numbers.get(a);
            numbers.set(a, numbers.get(b));
            numbers.set(b, kept);
        }
        return numbers;
    }

    private static int bruteForce(List<Numbers> lines) {
        Set<Integer> candidates = new TreeSet<>();
        lines.forEach(l -> candidates.addAll(l.values().values()));
        for (int n = 1; candidates.size() < 2 * lines.size() + 2; n++) {
            candidates.add(n);
        }
        return least(lines, 0, 0, List.copyOf(candidates), new HashMap<>());
    }

    /**
     * The least cost of the lines from {@code at} on, with the candidates of {@code taken} gone.
     */
    private static int least(
            List<Numbers> lines,
            int at,
            int taken,
            List<Integer> candidates,
            Map<Integer, Integer> known) {
        if (at == lines.size()) {
            return 0;
        }
        // Which line it is follows from how many are taken.
        Integer before = known.get(taken);
        if (before != null) {
            return before;
        }
        int best = Integer.MAX_VALUE;
        for (int c = 0; c < candidates.size(); c++) {
            int n = candidates.get(c);
            if ((taken >> c & 1) == 0 && lines.get(at).holds(n)) {
                int rest = least(lines, at + 1, taken | 1 << c, candidates, known);
                if (rest != Integer.MAX_VALUE) {
                    best = Math.min(best, lines.get(at).cost(n) + rest);
                }
            }
        }
        known.put(taken, best);
        return best;
    }

    private static void agrees(List<Numbers> lines, Repatch.Way way) {
        Map<Long, Map<Aspect, Integer>> after = new HashMap<>();
        lines.forEach(l -> after.put(l.line(), new EnumMap<>(l.values())));
        way.changes().forEach(c -> after.get(c.line()).put(c.aspect(), c.to()));
        Set<Integer> labels = new HashSet<>();
        for (Numbers line : lines) {
            Numbers then = new Numbers(line.line(), after.get(line.line()), line.most());
            assertThat(then.disagrees()).as("%s by %s", then, way).isFalse();
            assertThat(labels.add(then.values().get(Aspect.LABEL))).isTrue();
        }
        assertThat(way.changes().stream().mapToInt(c -> c.aspect().cost()).sum())
                .isEqualTo(way.cost());
        assertThat(way.truth().or(() -> Optional.of(Aspect.LABEL))).isPresent();
    }
}
