package app.jerboa.server.platform;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** Text on paper. */
public final class PdfText {
    private PdfText() {}

    /** Signs that the fonts lack are written out, or become a question mark. */
    public static String plain(String text) {
        StringBuilder plain = new StringBuilder();
        text.replace("→", "->")
                .replace("▲", "STOP")
                .replace("Ω", "ohm")
                .codePoints()
                .forEach(c -> plain.append(PdfFonts.knows(c) ? Character.toString(c) : "?"));
        return plain.toString();
    }

    /**
     * @param x of its start, from the left edge of the page in points
     * @param y of its baseline, from the lower edge
     */
    public static void write(
            PDPageContentStream out, PDFont font, float size, float x, float y, String words)
            throws IOException {
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x, y);
        out.showText(plain(words));
        out.endText();
    }

    public static float width(PDFont font, float size, String words) throws IOException {
        return font.getStringWidth(plain(words)) / 1000 * size;
    }

    /** The size at which words are no wider than that, no greater than {@code most}. */
    public static float fitting(PDFont font, float most, float width, String words)
            throws IOException {
        float natural = width(font, most, words);
        return natural <= width ? most : most * width / natural;
    }

    /** Cut into lines no wider than that, between words where it can be. */
    public static List<String> lines(PDFont font, float size, float width, String words)
            throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : plain(words).split(" ", -1)) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (width(font, size, longer) > width && !line.isEmpty()) {
                lines.add(line);
                line = word;
            } else {
                line = longer;
            }
        }
        lines.add(line);
        return lines;
    }
}
