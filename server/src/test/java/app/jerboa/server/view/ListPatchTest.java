package app.jerboa.server.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ListPatchTest {
    /** A row of its key and a text. */
    private record Row(String key, int text) {
        static List<Row> list(String written) {
            return written == null
                    ? List.of()
                    : List.of(written.split(" ", -1)).stream()
                            .map(w -> new Row(w.substring(0, 1), w.length()))
                            .toList();
        }
    }

    /** As pages do it: out by keys, then in at places. */
    private static List<Row> patched(List<Row> rows, ListPatch<Row> patch) {
        Set<String> out = new HashSet<>(patch.gone());
        patch.put().forEach(p -> out.add(p.row().key()));
        List<Row> all = new ArrayList<>(rows.stream().filter(r -> !out.contains(r.key())).toList());
        patch.put().forEach(p -> all.add(p.at(), p.row()));
        return all;
    }

    /** A letter is a row's key; a second sign behind it makes it another row of that key. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a b c d | a b c d  | 0 | 0",
                "a b c d | a b* c d | 1 | 0",
                "a b c d | a b d    | 0 | 1",
                "a b c d | a b x c d| 1 | 0",
                "a b c d | d a b c  | 3 | 0",
                "a b c d |          | 0 | 4",
                "        | a b      | 2 | 0",
                "a b c d | a* b c d*| 2 | 0",
            })
    void onlyWhatChangedIsSent(String before, String after, int put, int gone) {
        Optional<ListPatch<Row>> patch =
                ListPatch.between(Row.list(before), Row.list(after), Row::key);
        assertThat(patch.map(p -> p.put().size()).orElse(0)).isEqualTo(put);
        assertThat(patch.map(p -> p.gone().size()).orElse(0)).isEqualTo(gone);
        assertThat(patch.map(p -> patched(Row.list(before), p)).orElse(Row.list(before)))
                .isEqualTo(Row.list(after));
    }

    @Test
    void anyListBecomesAnyOther() {
        Random random = new Random(14);
        for (int round = 0; round < 2_000; round++) {
            List<Row> before = some(random);
            List<Row> after = random.nextBoolean() ? some(random) : likeIt(before, random);
            List<Row> got =
                    ListPatch.between(before, after, Row::key)
                            .map(p -> patched(before, p))
                            .orElse(before);
            assertThat(got).as("%s to %s", before, after).isEqualTo(after);
        }
    }

    private static List<Row> some(Random random) {
        List<Row> rows = new ArrayList<>();
        for (char c = 'a'; c < 'm'; c++) {
            if (random.nextInt(3) > 0) {
                rows.add(new Row(String.valueOf(c), random.nextInt(2)));
            }
        }
        Collections.shuffle(rows, random);
        return rows;
    }

    /** One row of it is another, gone, new or elsewhere. */
    private static List<Row> likeIt(List<Row> before, Random random) {
        List<Row> after = new ArrayList<>(before);
        int at = random.nextInt(after.size() + 1);
        if (at == after.size()) {
            after.add(new Row("z", 0));
            return after;
        }
        Row row = after.remove(at);
        if (random.nextInt(3) > 0) {
            after.add(random.nextInt(after.size() + 1), new Row(row.key(), random.nextInt(2)));
        }
        return after;
    }
}
