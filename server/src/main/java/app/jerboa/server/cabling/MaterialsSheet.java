package app.jerboa.server.cabling;

import app.jerboa.core.job.cabling.materials.Cut;
import app.jerboa.core.job.cabling.materials.Material;
import app.jerboa.core.job.cabling.materials.Materials;
import app.jerboa.server.platform.Harmless;
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

/** Materials and cut list for a spreadsheet, with nothing in it that one would run. */
final class MaterialsSheet {
    private static final List<String> LIST =
            List.of("material", "unit", "needed", "spare", "total", "price each", "cost");
    private static final List<String> CUTS =
            List.of("material", "reel", "length in m", "label", "from", "to");

    private MaterialsSheet() {}

    /** The list, an empty line, the cuts. */
    static String csv(Materials materials) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(LIST);
            for (Material m : materials.list()) {
                csv.printRecord(
                        Harmless.cell(m.name()),
                        m.unit(),
                        number(m.needed()),
                        number(m.spare()),
                        number(m.total()),
                        m.each().isPresent() ? number(m.each().getAsInt() / 100.0) : "",
                        m.each().isPresent() ? number(m.cost() / 100.0) : "");
            }
            csv.println();
            csv.printRecord(CUTS);
            for (Cut c : materials.cuts()) {
                csv.printRecord(
                        Harmless.cell(c.material()),
                        c.reel() == 0 ? "" : Integer.toString(c.reel()),
                        number(c.metres()),
                        Harmless.cell(c.label()),
                        Harmless.cell(c.from()),
                        Harmless.cell(c.to()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }

    /** Two sheets; texts are stored as texts, so that none is run. */
    static byte[] xlsx(Materials materials) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Jerboa", "1.0")) {
            list(book.newWorksheet("Materials"), materials);
            cuts(book.newWorksheet("Cuts"), materials);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void head(Worksheet sheet, List<String> names) {
        for (int c = 0; c < names.size(); c++) {
            sheet.value(0, c, names.get(c));
            sheet.style(0, c).bold().set();
        }
        sheet.freezePane(0, 1);
    }

    private static void list(Worksheet sheet, Materials materials) {
        head(sheet, LIST);
        int row = 1;
        for (Material m : materials.list()) {
            sheet.value(row, 0, m.name());
            sheet.value(row, 1, m.unit());
            sheet.value(row, 2, m.needed());
            sheet.value(row, 3, m.spare());
            sheet.value(row, 4, m.total());
            if (m.each().isPresent()) {
                sheet.value(row, 5, m.each().getAsInt() / 100.0);
                sheet.value(row, 6, m.cost() / 100.0);
            }
            row++;
        }
    }

    private static void cuts(Worksheet sheet, Materials materials) {
        head(sheet, CUTS);
        int row = 1;
        for (Cut c : materials.cuts()) {
            sheet.value(row, 0, c.material());
            if (c.reel() > 0) {
                sheet.value(row, 1, c.reel());
            }
            sheet.value(row, 2, c.metres());
            sheet.value(row, 3, c.label());
            sheet.value(row, 4, c.from());
            sheet.value(row, 5, c.to());
            row++;
        }
    }
}
