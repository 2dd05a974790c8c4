package app.jerboa.server.platform;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/**
 * A list that leaves for a spreadsheet, with nothing in it that one would run.
 *
 * @param name of the sheet
 * @param rows cells are texts, numbers or null for none
 */
public record Spreadsheet(String name, List<String> head, List<List<Object>> rows) {
    public static final String XLSX =
            "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    /** RFC 4180; several sheets with an empty line between. */
    public static String csv(Spreadsheet... sheets) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            boolean first = true;
            for (Spreadsheet sheet : sheets) {
                if (!first) {
                    csv.println();
                }
                first = false;
                csv.printRecord(sheet.head());
                for (List<Object> row : sheet.rows()) {
                    csv.printRecord(row.stream().map(Spreadsheet::cell).toList());
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String cell(Object value) {
        if (value instanceof Double d) {
            return String.format(Locale.ROOT, "%.2f", d);
        }
        return value == null ? "" : value instanceof String s ? Harmless.cell(s) : value.toString();
    }

    /** Texts are stored as texts, so that none is run. */
    public static byte[] xlsx(Spreadsheet... sheets) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Jerboa", "1.0")) {
            for (Spreadsheet sheet : sheets) {
                write(book.newWorksheet(sheet.name()), sheet);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void write(Worksheet into, Spreadsheet sheet) {
        for (int c = 0; c < sheet.head().size(); c++) {
            into.value(0, c, sheet.head().get(c));
            into.style(0, c).bold().set();
        }
        into.freezePane(0, 1);
        for (int r = 0; r < sheet.rows().size(); r++) {
            List<Object> row = sheet.rows().get(r);
            for (int c = 0; c < row.size(); c++) {
                if (row.get(c) instanceof Number n) {
                    into.value(r + 1, c, n);
                } else if (row.get(c) != null) {
                    into.value(r + 1, c, row.get(c).toString());
                }
            }
        }
    }
}
