package app.jerboa.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Text from a spreadsheet or a CSV file cut into cells. */
public final class CsvRows {
    private static final int MOST_COLUMNS = 40;

    private CsvRows() {}

    /**
     * @param text with tabs, semicolons or commas between cells, whichever the first row has most
     *     of
     * @param most rows; one more is read, so that the caller can tell that there are too many
     * @return empty when a quote is not closed, so that its cells cannot be told apart
     */
    public static Optional<List<List<String>>> of(String text, int most) {
        CSVFormat format =
                CSVFormat.DEFAULT
                        .builder()
                        .setDelimiter(delimiter(text))
                        .setIgnoreEmptyLines(false)
                        .setLenientEof(true)
                        .setTrailingData(true)
                        .get();
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(text.replace("\uFEFF", ""), format)) {
            for (CSVRecord record : parser) {
                if (rows.size() > most) {
                    break;
                }
                rows.add(record.stream().limit(MOST_COLUMNS).toList());
            }
        } catch (IOException | UncheckedIOException e) {
            return Optional.empty();
        }
        return Optional.of(rows);
    }

    private static char delimiter(String text) {
        String first = text.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        return Stream.of('\t', ';', ',')
                .max(Comparator.comparingLong(c -> count(first, c)))
                .filter(c -> count(first, c) > 0)
                .orElse('\t');
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
    }
}
