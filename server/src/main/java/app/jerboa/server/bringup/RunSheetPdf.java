package app.jerboa.server.bringup;

import app.jerboa.server.platform.PdfFonts;
import app.jerboa.server.platform.PdfText;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** The run sheet on A4, with a box to tick beside each step and room to write. No secrets. */
final class RunSheetPdf {
    private static final float MARGIN = 42;
    private static final float LINE = 13;
    private static final float SIZE = 10;
    private static final float INDENT = 44;

    /** One step as it is printed. */
    record Printed(int number, boolean done, BringUpView.NowBody words) {}

    private final PDDocument document;
    private final String title;
    private final PdfFonts fonts;
    private PDPageContentStream out;
    private float y;
    private int pages;

    private RunSheetPdf(PDDocument document, String title) throws IOException {
        this.document = document;
        this.title = title;
        this.fonts = PdfFonts.of(document);
    }

    static byte[] of(String title, List<String> head, List<Printed> steps) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(title);
            new RunSheetPdf(document, title).write(head, steps);
            document.save(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private void write(List<String> head, List<Printed> steps) throws IOException {
        page();
        for (String line : head) {
            lines(line, MARGIN, false);
        }
        for (Printed step : steps) {
            step(step);
        }
        out.close();
    }

    private void page() throws IOException {
        if (out != null) {
            out.close();
        }
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        out = new PDPageContentStream(document, page);
        pages++;
        y = PDRectangle.A4.getHeight() - MARGIN;
        PdfText.write(out, fonts.bold(), 12, MARGIN, y, title + ", page " + pages);
        y -= 2 * LINE;
    }

    private void room(int lines) throws IOException {
        if (y - lines * LINE < MARGIN) {
            page();
        }
    }

    private void step(Printed step) throws IOException {
        room(2 + step.words().actions().size() + step.words().cautions().size());
        y -= LINE / 2;
        out.addRect(MARGIN, y - 2, 10, 10);
        out.stroke();
        if (step.done()) {
            PdfText.write(out, fonts.bold(), SIZE, MARGIN + 2, y, "x");
        }
        PdfText.write(out, fonts.bold(), SIZE, MARGIN + 16, y, Integer.toString(step.number()));
        lines(step.words().title(), MARGIN + INDENT, true);
        for (String caution : step.words().cautions()) {
            lines("CAUTION: " + caution, MARGIN + INDENT, true);
        }
        for (BringUpView.ActionBody a : step.words().actions()) {
            lines(
                    "- " + a.text() + (a.value().isEmpty() ? "" : " " + a.value()),
                    MARGIN + INDENT,
                    false);
        }
        if (step.words().actions().isEmpty()) {
            lines(step.words().todo(), MARGIN + INDENT, false);
        }
    }

    private void lines(String words, float x, boolean bold) throws IOException {
        var font = bold ? fonts.bold() : fonts.plain();
        float width = PDRectangle.A4.getWidth() - MARGIN - x;
        for (String line : PdfText.lines(font, SIZE, width, words)) {
            room(1);
            PdfText.write(out, font, SIZE, x, y, line);
            y -= LINE;
        }
    }
}
