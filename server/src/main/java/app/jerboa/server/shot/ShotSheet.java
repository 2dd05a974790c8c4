package app.jerboa.server.shot;

import app.jerboa.server.platform.PdfFonts;
import app.jerboa.server.platform.PdfText;
import app.jerboa.server.platform.Spreadsheet;
import app.jerboa.server.shot.ShotBodies.ShotListBody;
import app.jerboa.server.shot.ShotBodies.TakeBody;
import app.jerboa.server.words.Words;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** A shot list that leaves the house: for a spreadsheet, and on paper. */
final class ShotSheet {
    private static final List<String> HEAD =
            List.of(
                    "take",
                    "start (s)",
                    "shortest length (s)",
                    "camera",
                    "preset",
                    "preset name",
                    "subject",
                    "cue",
                    "way needs (s)",
                    "has (s)",
                    "missing (s)");

    private static final float MARGIN = 36;
    private static final float LINE = 14;
    private static final float SIZE = 10;
    private static final float PAD = 6;

    /** Widths of the columns on A4 across, in points. */
    private static final float[] WIDTHS = {34, 52, 52, 90, 130, 140, 160, 110};

    private ShotSheet() {}

    static String csv(ShotListBody list) {
        return Spreadsheet.csv(
                new Spreadsheet(
                        "Shot list", HEAD, list.takes().stream().map(ShotSheet::row).toList()));
    }

    private static List<Object> row(TakeBody t) {
        return Arrays.asList(
                t.number(),
                t.start(),
                t.length(),
                t.camera(),
                t.preset().orElse(null),
                t.presetName(),
                t.subject(),
                t.cue(),
                t.way().map(ShotBodies.WayBody::needed).orElse(null),
                t.way().map(ShotBodies.WayBody::free).orElse(null),
                t.way().flatMap(ShotBodies.WayBody::late).orElse(null));
    }

    /** On A4 across, with a box to tick beside each take. */
    static byte[] pdf(String job, ShotListBody list) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(list.name());
            new Paper(document, list.name() + " – " + job).write(list);
            document.save(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Minutes and seconds: {@code 1:07.5}. */
    static String clock(double seconds) {
        long tenths = Math.round(seconds * 10);
        return String.format(
                Locale.ROOT, "%d:%02d.%d", tenths / 600, tenths / 10 % 60, tenths % 10);
    }

    private static final class Paper {
        private final PDDocument document;
        private final String title;
        private final PdfFonts fonts;
        private PDPageContentStream out;
        private float y;
        private int pages;

        Paper(PDDocument document, String title) throws IOException {
            this.document = document;
            this.title = title;
            this.fonts = PdfFonts.of(document);
        }

        void write(ShotListBody list) throws IOException {
            page();
            for (TakeBody t : list.takes()) {
                take(t);
            }
            out.close();
        }

        private void page() throws IOException {
            if (out != null) {
                out.close();
            }
            PDRectangle upright = PDRectangle.A4;
            PDRectangle across =
                    new PDRectangle(
                            /* width= */ upright.getHeight(), /* height= */ upright.getWidth());
            PDPage page = new PDPage(across);
            document.addPage(page);
            out = new PDPageContentStream(document, page);
            pages++;
            y = across.getHeight() - MARGIN;
            PdfText.write(out, fonts.bold(), 12, MARGIN, y, title + ", page " + pages);
            y -= 2 * LINE;
            cells(
                    true,
                    List.of(
                            "Take", "Start", "Length", "Camera", "Preset", "Subject", "Cue",
                            "Way"));
        }

        private void take(TakeBody t) throws IOException {
            cells(
                    false,
                    List.of(
                            Integer.toString(t.number()),
                            clock(t.start()),
                            String.format(Locale.ROOT, "%.1f s", t.length()),
                            t.camera(),
                            preset(t),
                            t.subject(),
                            t.cue(),
                            way(t)));
        }

        private static String preset(TakeBody t) {
            return t.preset().map(p -> (p + " " + t.presetName()).strip()).orElse("by hand");
        }

        private static String way(TakeBody t) {
            return t.way()
                    .map(
                            w ->
                                    w.late()
                                            .map(
                                                    l ->
                                                            Words.say(
                                                                    "shot.way-late",
                                                                    Map.of("late", one(l))))
                                            .orElseGet(() -> one(w.needed()) + " s"))
                    .orElse("");
        }

        private static String one(double value) {
            return String.format(Locale.ROOT, "%.1f", value);
        }

        private void cells(boolean bold, List<String> cells) throws IOException {
            var font = bold ? fonts.bold() : fonts.plain();
            List<List<String>> wrapped = new ArrayList<>();
            int most = 1;
            for (int i = 0; i < cells.size(); i++) {
                wrapped.add(PdfText.lines(font, SIZE, WIDTHS[i] - PAD, cells.get(i)));
                most = Math.max(most, wrapped.get(i).size());
            }
            if (y - most * LINE < MARGIN) {
                page();
            }
            float x = MARGIN;
            for (int i = 0; i < cells.size(); i++) {
                for (int l = 0; l < wrapped.get(i).size(); l++) {
                    PdfText.write(out, font, SIZE, x, y - l * LINE, wrapped.get(i).get(l));
                }
                x += WIDTHS[i];
            }
            y -= most * LINE;
            out.moveTo(MARGIN, y + LINE - 4);
            out.lineTo(x, y + LINE - 4);
            out.setLineWidth(0.3f);
            out.stroke();
            y -= 3;
        }
    }
}
