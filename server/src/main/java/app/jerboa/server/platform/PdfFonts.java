package app.jerboa.server.platform;

import java.io.IOException;
import java.io.InputStream;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.springframework.core.io.ClassPathResource;

/**
 * The shipped fonts within one document, which keeps the signs that it uses: the same letters as on
 * screen, Latin with all its accents.
 *
 * @param mono in which 0 and O, 1 and l differ most
 */
public record PdfFonts(PDFont plain, PDFont bold, PDFont mono) {
    private static final CmapLookup KNOWN = known();

    public static PdfFonts of(PDDocument document) throws IOException {
        return new PdfFonts(
                load(document, "text-regular"),
                load(document, "text-bold"),
                load(document, "mono-bold"));
    }

    private static PDFont load(PDDocument document, String name) throws IOException {
        try (InputStream in = file(name).getInputStream()) {
            return PDType0Font.load(document, in);
        }
    }

    private static ClassPathResource file(String name) {
        return new ClassPathResource("fonts/" + name + ".ttf");
    }

    private static CmapLookup known() {
        try (TrueTypeFont font =
                new TTFParser()
                        .parse(
                                new RandomAccessReadBuffer(
                                        file("text-regular").getContentAsByteArray()))) {
            return font.getUnicodeCmapLookup();
        } catch (IOException e) {
            throw new IllegalStateException("a shipped font cannot be read", e);
        }
    }

    /** The fonts have a sign for it. */
    static boolean knows(int codePoint) {
        return codePoint >= ' ' && KNOWN.getGlyphId(codePoint) > 0;
    }
}
