package app.jerboa.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MadeTest {
    private static final List<String> ITEMS = List.of("a", "b", "c", "d");

    /** Items by their number in {@link #ITEMS}; x is one that was not there before. */
    private static List<String> items(String numbers) {
        return List.of(numbers.split(" ", -1)).stream()
                .map(n -> n.equals("x") ? new String("a") : ITEMS.get(Integer.parseInt(n)))
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 1 2 3   | 0",
                "0 1 3     | 0",
                "0 x 1 2 3 | 1",
                "3 2 1 0   | 0",
                "x x       | 2",
                "0 1 x 3   | 1",
            })
    void whatWasMadeOfTheSameItemIsTakenOver(String items, int anew) {
        Made<String, StringBuilder> before =
                Made.of(ITEMS, Optional.empty(), (i, was) -> new StringBuilder(i));
        List<String> now = items(items);
        List<String> made = new ArrayList<>();
        Made<String, StringBuilder> after =
                Made.of(
                        now,
                        Optional.of(before),
                        (i, was) -> {
                            if (was == null) {
                                made.add(i);
                                return new StringBuilder(i);
                            }
                            return was;
                        });
        assertThat(made).hasSize(anew);
        assertThat(after.from()).isEqualTo(now);
        assertThat(after.to()).extracting(StringBuilder::toString).isEqualTo(now);
    }

    /**
     * As above; and what is made anew sees what stood at its place, if others are where they were.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 1 2 3   |       | true",
                "0 1 x 3   | a c   | false",
                "x 1 2 x   | a a a d | false",
                "0 1 3     |       | false",
                "0 x 1 2 3 | a none | false",
                "x x       | a none a none | false",
            })
    void whatIsKeptIsMadeAnewWhereTheItemIsAnother(String items, String seen, boolean same) {
        Made<String, StringBuilder> before =
                Made.of(ITEMS, Optional.empty(), (i, was) -> new StringBuilder(i));
        List<String> now = items(items);
        List<String> asked = new ArrayList<>();
        Made<String, StringBuilder> after =
                Made.kept(
                        now,
                        Optional.of(before),
                        (i, instead) -> {
                            asked.add(i);
                            asked.add(instead == null ? "none" : instead.toString());
                            return new StringBuilder(i);
                        });
        assertThat(String.join(" ", asked)).isEqualTo(seen == null ? "" : seen);
        assertThat(after.from()).isSameAs(now);
        assertThat(after.to()).extracting(StringBuilder::toString).isEqualTo(now);
        assertThat(after.to() == before.to()).isEqualTo(same);
        assertThat(before.to()).extracting(StringBuilder::toString).isEqualTo(ITEMS);
    }

    /** More than a few moved or were put anew: none of the others is made again. */
    @Test
    void manyOthersAreGoneThroughAnew() {
        List<String> items = IntStream.range(0, 40).mapToObj(i -> "item " + i).toList();
        Made<String, String> before = Made.of(items, Optional.empty(), (i, was) -> i);
        List<String> turned = new ArrayList<>(items);
        Collections.reverse(turned);
        Made<String, String> after =
                Made.kept(turned, Optional.of(before), (i, instead) -> "made anew");
        assertThat(after.to()).isEqualTo(turned);
    }

    /** Gathered again for something else, not for an item that the same is made of. */
    @Test
    void whatWasGatheredStandsWhileTheSameIsMade() {
        Gathered<String, Integer, List<Integer>> before =
                Gathered.kept(
                        ITEMS, Optional.empty(), (i, was) -> i.length(), all -> List.copyOf(all));
        Gathered<String, Integer, List<Integer>> sameLength =
                Gathered.kept(
                        List.of("a", "x", "c", "d"),
                        Optional.of(before),
                        (i, was) -> i.length(),
                        all -> List.of(-1));
        assertThat(sameLength.all()).isSameAs(before.all());
        Gathered<String, Integer, List<Integer>> longer =
                Gathered.kept(
                        List.of("a", "xyz", "c", "d"),
                        Optional.of(sameLength),
                        (i, was) -> i.length(),
                        all -> List.copyOf(all));
        assertThat(longer.all()).containsExactly(1, 3, 1, 1);
    }
}
