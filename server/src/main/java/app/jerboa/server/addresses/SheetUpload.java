package app.jerboa.server.addresses;

import app.jerboa.core.job.addresses.SheetComparison;
import app.jerboa.server.platform.CsvRows;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Utf8;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.springframework.http.HttpStatus;

/** An address sheet as somebody keeps it, CSV or XLSX, cut into cells. */
final class SheetUpload {
    private static final int MOST_COLUMNS = 40;
    private static final int LONGEST_CELL = 500;
    private static final long MOST_UNPACKED = 30L << 20;

    private SheetUpload() {}

    /**
     * @param file at most what the body limit lets through
     * @throws Problem when it is neither, or too long
     */
    static List<List<String>> rows(byte[] file) {
        boolean zipped = file.length > 1 && file[0] == 'P' && file[1] == 'K';
        List<List<String>> rows = zipped ? xlsx(file) : csv(file);
        if (rows.size() > SheetComparison.MOST_ROWS) {
            throw bad("That is over " + SheetComparison.MOST_ROWS + " rows. Take it in parts.");
        }
        return rows;
    }

    /** What a small file unpacks to is read nowhere before it is known to be small too. */
    private static void insistOnModestSize(byte[] file) throws IOException {
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
                                throw bad("That workbook is too large.");
                            }
                        }
                    }
                }
            }
        } finally {
            Files.delete(kept);
        }
    }

    private static List<List<String>> xlsx(byte[] file) {
        try {
            insistOnModestSize(file);
        } catch (IOException e) {
            throw bad("That is no XLSX workbook, or it is damaged.");
        }
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
            Sheet first = book.getFirstSheet();
            try (Stream<Row> rows = first.openStream()) {
                return rows.limit(SheetComparison.MOST_ROWS + 1L).map(SheetUpload::cells).toList();
            }
        } catch (IOException | UncheckedIOException | ExcelReaderException e) {
            throw bad("That is no XLSX workbook, or it is damaged.");
        }
    }

    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>();
        for (int c = 0; c < Math.min(row.getCellCount(), MOST_COLUMNS); c++) {
            cells.add(row.hasCell(c) ? shortened(row.getCellText(c)) : "");
        }
        return cells;
    }

    private static List<List<String>> csv(byte[] file) {
        String text = text(file);
        return CsvRows.of(text, SheetComparison.MOST_ROWS)
                .orElseThrow(
                        () ->
                                bad(
                                        "A quote in it is not closed, so its cells cannot be told apart."));
    }

    private static String text(byte[] file) {
        try {
            return Utf8.text(file);
        } catch (CharacterCodingException e) {
            throw bad("It is not written in UTF-8. Save it as CSV in UTF-8, or as XLSX.");
        }
    }

    private static String shortened(String cell) {
        return cell.length() <= LONGEST_CELL ? cell : cell.substring(0, LONGEST_CELL);
    }

    private static Problem bad(String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-sheet",
                sentence + " Nothing was changed.",
                Map.of("field", "file"));
    }
}
