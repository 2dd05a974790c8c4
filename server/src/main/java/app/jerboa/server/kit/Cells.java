package app.jerboa.server.kit;

import app.jerboa.core.job.kit.KitSheet;
import app.jerboa.server.platform.CsvRows;
import java.util.List;
import java.util.stream.IntStream;

/** A pasted kit list cut into cells. */
final class Cells {
    private static final int LONGEST = 1_000_000;

    private Cells() {}

    static List<KitSheet.Row> of(String text) {
        if (text.length() > LONGEST) {
            throw KitController.bad("text", "That is over " + LONGEST + " characters.");
        }
        List<List<String>> rows =
                CsvRows.of(text, KitSheet.MOST_ROWS)
                        .orElseThrow(
                                () ->
                                        KitController.bad(
                                                "text",
                                                "A quote in it is not closed, so its cells cannot be told apart."));
        if (rows.size() > KitSheet.MOST_ROWS) {
            throw KitController.bad(
                    "text", "That is over " + KitSheet.MOST_ROWS + " rows. Take it in parts.");
        }
        return IntStream.range(0, rows.size())
                .mapToObj(i -> new KitSheet.Row(i + 1, rows.get(i)))
                .toList();
    }
}
