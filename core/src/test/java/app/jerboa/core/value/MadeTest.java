package app.jerboa.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MadeTest {
    private static final List<String> ITEMS = List.of("a", "b", "c", "d");

    /** Items by their number in {@link #ITEMS}; x is one that was not there before. */
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
        List<String> now =
                List.of(items.split(" ", -1)).stream()
                        .map(n -> n.equals("x") ? new String("a") : ITEMS.get(Integer.parseInt(n)))
                        .toList();
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
}
