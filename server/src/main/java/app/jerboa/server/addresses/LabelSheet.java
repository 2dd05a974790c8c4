package app.jerboa.server.addresses;

import app.jerboa.core.job.addresses.AddressRow;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.platform.PdfFonts;
import app.jerboa.server.platform.PdfText;
import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Labels on A4: name, address and ID large, and a code that opens the device's page. */
final class LabelSheet {
    /** Points to a millimetre. */
    private static final float MM = 72 / 25.4f;

    private static final float PADDING = 2 * MM;

    /** How an A4 sheet is cut, in millimetres. */
    enum Size {
        /** For flags on leads. */
        SMALL("small", 5, 13, 38, 21),
        MEDIUM("medium", 3, 8, 63.5f, 34),
        LARGE("large", 2, 5, 99, 57);

        private final String wire;
        private final int across;
        private final int down;
        private final float width;
        private final float height;

        Size(String wire, int across, int down, float width, float height) {
            this.wire = wire;
            this.across = across;
            this.down = down;
            this.width = width * MM;
            this.height = height * MM;
        }

        static Optional<Size> of(String word) {
            return Arrays.stream(values()).filter(s -> s.wire.equals(word)).findFirst();
        }

        private int each() {
            return across * down;
        }
    }

    private final Size size;
    private final Function<AddressRow, String> page;
    private final PdfFonts fonts;

    private LabelSheet(Size size, Function<AddressRow, String> page, PdfFonts fonts) {
        this.size = size;
        this.page = page;
        this.fonts = fonts;
    }

    /**
     * @param page the address of a device's page
     */
    static byte[] of(
            String title, List<AddressRow> rows, Size size, Function<AddressRow, String> page) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(title + ": labels");
            new LabelSheet(size, page, PdfFonts.of(document)).write(document, rows);
            document.save(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private void write(PDDocument document, List<AddressRow> rows) throws IOException {
        for (int from = 0; from < Math.max(1, rows.size()); from += size.each()) {
            PDPage paper = new PDPage(PDRectangle.A4);
            document.addPage(paper);
            try (PDPageContentStream out = new PDPageContentStream(document, paper)) {
                int to = Math.min(rows.size(), from + size.each());
                for (int i = from; i < to; i++) {
                    label(out, rows.get(i), i - from);
                }
            }
        }
    }

    private void label(PDPageContentStream out, AddressRow row, int place) throws IOException {
        float left = (PDRectangle.A4.getWidth() - size.across * size.width) / 2;
        float top = (PDRectangle.A4.getHeight() + size.down * size.height) / 2;
        float x = left + place % size.across * size.width;
        float y = top - (place / size.across + 1) * size.height;
        out.setLineWidth(0.3f);
        out.setStrokingColor(0.7f);
        out.addRect(x, y, size.width, size.height);
        out.stroke();
        float code = size.height - 2 * PADDING;
        code(out, page.apply(row), x + size.width - PADDING - code, y + PADDING, code);
        words(out, row, x + PADDING, y, size.width - 3 * PADDING - code);
    }

    private void words(PDPageContentStream out, AddressRow row, float x, float y, float width)
            throws IOException {
        String address = row.device().address().map(Ipv4::toString).orElse(row.how());
        String name = row.device().name();
        String more =
                row.controlId().isEmpty()
                        ? row.device().mac()
                        : "ID " + row.controlId() + "  " + row.device().mac();
        float third = (size.height - 2 * PADDING) / 3;
        float bottom = y + PADDING + third * 0.25f;
        float big = PdfText.fitting(fonts.bold(), third * 0.8f, width, name);
        PdfText.write(out, fonts.bold(), big, x, bottom + 2 * third, name);
        float middle = PdfText.fitting(fonts.mono(), third * 0.7f, width, address);
        PdfText.write(out, fonts.mono(), middle, x, bottom + third, address);
        float small = PdfText.fitting(fonts.plain(), third * 0.45f, width, more);
        PdfText.write(out, fonts.plain(), small, x, bottom, more);
    }

    /** A QR code (ISO/IEC 18004) as black squares, so that it stays sharp at any size. */
    private static void code(PDPageContentStream out, String text, float x, float y, float side)
            throws IOException {
        BitMatrix code = encoded(text);
        float dot = side / code.getWidth();
        out.setNonStrokingColor(0f);
        for (int row = 0; row < code.getHeight(); row++) {
            for (int column = 0; column < code.getWidth(); column++) {
                if (code.get(column, row)) {
                    out.addRect(
                            x + column * dot, y + side - (row + 1) * dot, dot * 1.01f, dot * 1.01f);
                }
            }
        }
        out.fill();
    }

    private static BitMatrix encoded(String text) {
        Map<EncodeHintType, Object> hints =
                Map.of(
                        EncodeHintType.MARGIN,
                        0,
                        EncodeHintType.ERROR_CORRECTION,
                        ErrorCorrectionLevel.M);
        try {
            return new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0, hints);
        } catch (WriterException e) {
            throw new IllegalArgumentException("no code can hold " + text, e);
        }
    }
}
