package app.jerboa.server.platform;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Tables on A4 across, one below the other; a table that goes on begins with its head again. */
public final class PdfTable {
    private static final float MARGIN = 36;
    private static final float LINE = 14;
    private static final float SIZE = 10;
    private static final float PAD = 6;

    /** One column; widths are shares of the page's. */
    public record Column(String name, int share) {}

    /**
     * One table.
     *
     * @param heading blank for none
     * @param rows cells in the order of the columns
     */
    public record Table(String heading, List<Column> columns, List<List<String>> rows) {}

    private final PDDocument document;
    private final String title;
    private final PdfFonts fonts;
    private PDPageContentStream out;
    private float width;
    private float y;
    private int pages;

    private PdfTable(PDDocument document, String title) throws IOException {
        this.document = document;
        this.title = title;
        this.fonts = PdfFonts.of(document);
    }

    /**
     * @param title over each page, with its number
     */
    public static byte[] of(String title, List<Table> tables) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(title);
            PdfTable paper = new PdfTable(document, title);
            paper.page();
            for (Table table : tables) {
                paper.table(table);
            }
            paper.out.close();
            document.save(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private void page() throws IOException {
        if (out != null) {
            out.close();
        }
        PDRectangle upright = PDRectangle.A4;
        PDRectangle across =
                new PDRectangle(/* width= */ upright.getHeight(), /* height= */ upright.getWidth());
        PDPage page = new PDPage(across);
        document.addPage(page);
        out = new PDPageContentStream(document, page);
        pages++;
        width = across.getWidth() - 2 * MARGIN;
        y = across.getHeight() - MARGIN;
        PdfText.write(out, fonts.bold(), 12, MARGIN, y, title + ", page " + pages);
        y -= 2 * LINE;
    }

    private void table(Table table) throws IOException {
        if (y - 4 * LINE < MARGIN) {
            page();
        }
        if (!table.heading().isBlank()) {
            y -= LINE / 2;
            PdfText.write(out, fonts.bold(), 12, MARGIN, y, table.heading());
            y -= LINE * 1.5f;
        }
        head(table);
        for (List<String> row : table.rows()) {
            List<List<String>> cells = wrapped(table.columns(), row, false);
            if (y - height(cells) < MARGIN) {
                page();
                head(table);
            }
            write(table.columns(), cells, false);
        }
        y -= LINE;
    }

    private void head(Table table) throws IOException {
        List<String> names = table.columns().stream().map(Column::name).toList();
        write(table.columns(), wrapped(table.columns(), names, true), true);
    }

    private List<List<String>> wrapped(List<Column> columns, List<String> row, boolean bold)
            throws IOException {
        var font = bold ? fonts.bold() : fonts.plain();
        List<List<String>> cells = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            cells.add(PdfText.lines(font, SIZE, wide(columns, i) - PAD, row.get(i)));
        }
        return cells;
    }

    private float wide(List<Column> columns, int at) {
        return width * columns.get(at).share() / columns.stream().mapToInt(Column::share).sum();
    }

    private static float height(List<List<String>> cells) {
        return LINE * cells.stream().mapToInt(List::size).max().orElse(1);
    }

    private void write(List<Column> columns, List<List<String>> cells, boolean bold)
            throws IOException {
        var font = bold ? fonts.bold() : fonts.plain();
        float x = MARGIN;
        for (int i = 0; i < cells.size(); i++) {
            for (int l = 0; l < cells.get(i).size(); l++) {
                PdfText.write(out, font, SIZE, x, y - l * LINE, cells.get(i).get(l));
            }
            x += wide(columns, i);
        }
        y -= height(cells);
        out.moveTo(MARGIN, y + LINE - 4);
        out.lineTo(MARGIN + width, y + LINE - 4);
        out.setLineWidth(0.3f);
        out.stroke();
        y -= 3;
    }
}
