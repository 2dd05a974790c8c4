package app.jerboa.server.cabling;

import app.jerboa.core.job.cabling.drawing.Drawing;
import app.jerboa.core.job.cabling.drawing.Shape;
import app.jerboa.server.platform.PdfFonts;
import app.jerboa.server.platform.PdfText;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** The drawing on A4 across, as many pages as it takes; no row is cut in two. */
final class DrawingPdf {
    private static final float MARGIN = 36;
    private static final float TITLE = 22;
    private static final PDRectangle PAPER =
            new PDRectangle(
                    /* width= */ PDRectangle.A4.getHeight(),
                    /* height= */ PDRectangle.A4.getWidth());

    private final Drawing drawing;
    private final PdfFonts fonts;
    private final float scale;
    private final double perPage;

    private DrawingPdf(Drawing drawing, PdfFonts fonts) {
        this.drawing = drawing;
        this.fonts = fonts;
        scale = (PAPER.getWidth() - 2 * MARGIN) / (float) drawing.width();
        perPage = (PAPER.getHeight() - 2 * MARGIN - TITLE) / scale;
    }

    static byte[] of(Drawing drawing, String title) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(title + ": cabling");
            new DrawingPdf(drawing, PdfFonts.of(document)).write(document, title);
            document.save(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private void write(PDDocument document, String title) throws IOException {
        List<Double> breaks = breaks();
        for (int i = 0; i + 1 < breaks.size(); i++) {
            PDPage page = new PDPage(PAPER);
            document.addPage(page);
            try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                String head = title + ": cabling, page " + (i + 1) + " of " + (breaks.size() - 1);
                float top = PAPER.getHeight() - MARGIN;
                PdfText.write(out, fonts.bold(), 11, MARGIN, top - 11, head);
                for (Shape s : drawing.shapes()) {
                    if (top(s) >= breaks.get(i) && top(s) < breaks.get(i + 1)) {
                        draw(out, s, breaks.get(i), top - TITLE);
                    }
                }
            }
        }
    }

    private static double top(Shape s) {
        boolean text = s.kind() == Shape.Kind.TEXT || s.kind() == Shape.Kind.MIDDLE;
        return text ? s.y() - 12 : s.y();
    }

    /** Where pages end: the lowest place on each that cuts nothing. */
    private List<Double> breaks() {
        List<Double> breaks = new ArrayList<>(List.of(-20.0));
        double bottom = drawing.height();
        while (bottom - last(breaks) > perPage) {
            double at = last(breaks) + perPage;
            for (Shape s : byBottom()) {
                if (top(s) < at && s.y() + s.h() > at) {
                    at = top(s);
                }
            }
            // A shape taller than a page is cut all the same.
            breaks.add(at > last(breaks) + 1 ? at : last(breaks) + perPage);
        }
        breaks.add(bottom + 1);
        return breaks;
    }

    private List<Shape> byBottom() {
        return drawing.shapes().stream()
                .sorted((a, b) -> Double.compare(b.y() + b.h(), a.y() + a.h()))
                .toList();
    }

    private static double last(List<Double> breaks) {
        return breaks.get(breaks.size() - 1);
    }

    private void draw(PDPageContentStream out, Shape s, double from, float top) throws IOException {
        float x = MARGIN + (float) s.x() * scale;
        float y = top - (float) (s.y() - from) * scale;
        float w = (float) s.w() * scale;
        float h = (float) s.h() * scale;
        out.setLineWidth(s.tone() == Shape.Tone.STOP ? 1.6f : 0.7f);
        switch (s.kind()) {
            case BOX, SOCKET, EMPTY -> {
                out.addRect(x, y - h, w, h);
                out.stroke();
            }
            case BAR -> {
                out.addRect(x, y - h, (float) Shape.BAR * scale, h);
                out.stroke();
                out.addRect(x, y - h, w, h);
                out.fill();
            }
            case LINE -> {
                out.moveTo(x, y);
                out.lineTo(x + w, y - h);
                out.stroke();
            }
            case TEXT, MIDDLE -> text(out, s, x, y);
        }
    }

    private void text(PDPageContentStream out, Shape s, float x, float y) throws IOException {
        boolean plain = s.tone() == Shape.Tone.PLAIN || s.tone() == Shape.Tone.QUIET;
        PDFont font = plain ? fonts.plain() : fonts.bold();
        float size = (s.tone() == Shape.Tone.HEADING ? 15 : 11) * scale;
        float width = PdfText.width(font, size, s.text());
        float left = s.kind() == Shape.Kind.MIDDLE ? x - width / 2 : x;
        PdfText.write(out, font, size, left, y, s.text());
    }
}
