package app.jerboa.server.logbook;

import app.jerboa.server.platform.Problem;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Map;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.http.HttpStatus;

/**
 * Photos as they are kept: drawn anew as JPEG, so that neither a camera's notes of place and owner
 * nor anything that only calls itself a picture is stored.
 */
final class Photos {
    private static final int LONGEST_SIDE = 1600;

    /** A picture that unfolds to more than this is refused before it is read. */
    private static final long MOST_PIXELS = 60_000_000;

    private Photos() {}

    /**
     * @throws Problem when it is no JPEG or PNG picture, or too large
     */
    static byte[] asJpeg(byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw refused();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return written(scaled(read(reader)));
            } finally {
                reader.dispose();
            }
        }
    }

    private static BufferedImage read(ImageReader reader) {
        try {
            long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
            if (pixels > MOST_PIXELS) {
                throw refused();
            }
            return reader.read(0);
        } catch (IOException | RuntimeException e) {
            throw refused();
        }
    }

    private static BufferedImage scaled(BufferedImage picture) {
        int longest = Math.max(picture.getWidth(), picture.getHeight());
        double factor = Math.min(1, (double) LONGEST_SIDE / longest);
        int width = Math.max(1, (int) Math.round(picture.getWidth() * factor));
        int height = Math.max(1, (int) Math.round(picture.getHeight() * factor));
        BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = drawn.createGraphics();
        g.setRenderingHint(
                RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.drawImage(picture, 0, 0, width, height, Color.WHITE, null);
        g.dispose();
        return drawn;
    }

    private static byte[] written(BufferedImage picture) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, "jpg", out);
        return out.toByteArray();
    }

    private static Problem refused() {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "not-a-picture",
                "That file is not a JPEG or PNG picture of a usual size. Your text is kept here; choose another picture or none.",
                Map.of("field", "photo"));
    }
}
