package app.jerboa.server.kit;

import app.jerboa.core.job.KitSheet;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Text from a spreadsheet or a CSV file cut into cells. */
final class Cells {
    private static final int LONGEST = 1_000_000;
    private static final int MOST_COLUMNS = 40;

    private Cells() {}

    /**
     * @param text with tabs, semicolons or commas between cells, whichever the first row has most
     *     of
     */
    static List<KitSheet.Row> of(String text) {
        if (text.length() > LONGEST) {
            throw KitController.bad("text", "That is over " + LONGEST + " characters.");
        }
        CSVFormat format =
                CSVFormat.DEFAULT
                        .builder()
                        .setDelimiter(delimiter(text))
                        .setIgnoreEmptyLines(false)
                        .setLenientEof(true)
                        .setTrailingData(true)
                        .get();
        List<KitSheet.Row> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(text.replace("\uFEFF", ""), format)) {
            for (CSVRecord record : parser) {
                if (rows.size() == KitSheet.MOST_ROWS) {
                    throw KitController.bad(
                            "text",
                            "That is over " + KitSheet.MOST_ROWS + " rows. Take it in parts.");
                }
                rows.add(row((int) record.getRecordNumber(), record));
            }
        } catch (IOException | UncheckedIOException e) {
            throw KitController.bad(
                    "text", "A quote in it is not closed, so its cells cannot be told apart.");
        }
        return rows;
    }

    private static KitSheet.Row row(int line, CSVRecord record) {
        return new KitSheet.Row(line, record.stream().limit(MOST_COLUMNS).toList());
    }

    private static char delimiter(String text) {
        String first = text.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        return Stream.of('\t', ';', ',')
                .max((a, b) -> Long.compare(count(first, a), count(first, b)))
                .filter(c -> count(first, c) > 0)
                .orElse('\t');
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
    }
}
