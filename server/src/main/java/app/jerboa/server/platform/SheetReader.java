package app.jerboa.server.platform;

import app.jerboa.server.words.Words;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.springframework.http.HttpStatus;

/**
 * A list as somebody keeps it, pasted or as a file, CSV or XLSX, cut into cells.
 *
 * @param field of the request that it came in, for the refusal
 * @param most rows
 */
public record SheetReader(String field, int most) {
    private static final int MOST_COLUMNS = 40;
    private static final int LONGEST_CELL = 500;
    private static final int LONGEST_TEXT = 1_000_000;
    private static final long MOST_UNPACKED = 30L << 20;

    /**
     * @param file at most what the body limit lets through
     * @throws Problem when it is neither CSV nor XLSX, or too long
     */
    public List<List<String>> rows(byte[] file) {
        boolean zipped = file.length > 1 && file[0] == 'P' && file[1] == 'K';
        return zipped ? few(xlsx(file)) : rows(text(file));
    }

    /**
     * @param text with tabs, semicolons or commas between cells, whichever the first row has most
     *     of
     * @throws Problem when its cells cannot be told apart, or it is too long
     */
    public List<List<String>> rows(String text) {
        if (text.length() > LONGEST_TEXT) {
            throw bad(Words.say("refused.sheet-long", Map.of("most", LONGEST_TEXT)));
        }
        return few(csv(text));
    }

    private List<List<String>> few(List<List<String>> rows) {
        if (rows.size() > most) {
            throw bad(Words.say("refused.sheet-rows", Map.of("most", most)));
        }
        return rows;
    }

    /** What a small file unpacks to is read nowhere before it is known to be small too. */
    private void insistOnModestSize(byte[] file) throws IOException {
        Path kept = Files.createTempFile("sheet", ".xlsx");
        try {
            Files.write(kept, file);
            try (ZipFile zip = new ZipFile(kept.toFile())) {
                long all = 0;
                byte[] chunk = new byte[8192];
                for (ZipEntry entry : Collections.list(zip.entries())) {
                    try (InputStream in = zip.getInputStream(entry)) {
                        for (int n = in.read(chunk); n > 0; n = in.read(chunk)) {
                            all += n;
                            if (all > MOST_UNPACKED) {
                                throw bad(Words.say("refused.workbook-large"));
                            }
                        }
                    }
                }
            }
        } finally {
            Files.delete(kept);
        }
    }

    private List<List<String>> xlsx(byte[] file) {
        try {
            insistOnModestSize(file);
        } catch (IOException e) {
            throw bad(Words.say("refused.no-workbook"));
        }
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
            Sheet first = book.getFirstSheet();
            try (Stream<Row> rows = first.openStream()) {
                return rows.limit(most + 1L).map(SheetReader::cells).toList();
            }
        } catch (IOException | UncheckedIOException | ExcelReaderException e) {
            throw bad(Words.say("refused.no-workbook"));
        }
    }

    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>();
        for (int c = 0; c < Math.min(row.getCellCount(), MOST_COLUMNS); c++) {
            cells.add(row.hasCell(c) ? shortened(row.getCellText(c)) : "");
        }
        return cells;
    }

    private List<List<String>> csv(String text) {
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
            throw bad(Words.say("refused.sheet-quote"));
        }
        return rows;
    }

    private String text(byte[] file) {
        try {
            return Utf8.text(file);
        } catch (CharacterCodingException e) {
            throw bad(Words.say("refused.sheet-utf8"));
        }
    }

    private static String shortened(String cell) {
        return cell.length() <= LONGEST_CELL ? cell : cell.substring(0, LONGEST_CELL);
    }

    private Problem bad(String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-sheet",
                Words.say("refused.unchanged", Map.of("why", sentence)),
                Map.of("field", field));
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
