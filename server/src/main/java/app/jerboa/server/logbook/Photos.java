package app.jerboa.server.logbook;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.Spliterators;
import java.util.concurrent.Semaphore;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import org.springframework.http.HttpStatus;

/**
 * Photos as they are kept: drawn anew as JPEG, so that neither a camera's notes of place and owner
 * nor anything that only calls itself a picture is stored. One at a time, and never unfolded to
 * more pixels than are kept: a small file may hold a very large picture.
 */
public final class Photos {
    static final int LONGEST_SIDE = 1600;

    /** A picture that unfolds to more than this is refused before it is read. */
    private static final long MOST_PIXELS = 40_000_000;

    private static final Set<String> TAKEN = Set.of("jpeg", "png");
    private static final Semaphore ONE_AT_A_TIME = new Semaphore(1, true);

    private Photos() {}

    /**
     * @throws Problem when it is no JPEG or PNG picture, or too large
     */
    static byte[] asJpeg(byte[] file) throws IOException {
        return asJpeg(file, LONGEST_SIDE);
    }

    /**
     * As above, drawn no larger than this.
     *
     * @param longestSide in pixels
     */
    public static byte[] asJpeg(byte[] file, int longestSide) throws IOException {
        ONE_AT_A_TIME.acquireUninterruptibly();
        try (ImageInputStream in =
                new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
            ImageReader reader = readers(in).findFirst().orElseThrow(Photos::notAPicture);
            try {
                reader.setInput(in, true, true);
                return written(
                        turned(
                                scaled(read(reader, longestSide), longestSide),
                                Orientation.of(file)));
            } finally {
                reader.dispose();
            }
        } finally {
            ONE_AT_A_TIME.release();
        }
    }

    private static Stream<ImageReader> readers(ImageInputStream in) {
        return StreamSupport.stream(
                        Spliterators.spliteratorUnknownSize(ImageIO.getImageReaders(in), 0), false)
                .filter(Photos::taken);
    }

    private static boolean taken(ImageReader reader) {
        try {
            return TAKEN.contains(reader.getFormatName().toLowerCase(Locale.ROOT));
        } catch (IOException e) {
            return false;
        }
    }

    private static BufferedImage read(ImageReader reader, int longestSide) {
        try {
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if ((long) width * height > MOST_PIXELS) {
                throw tooLarge();
            }
            ImageReadParam every = reader.getDefaultReadParam();
            int step = Math.max(1, Math.max(width, height) / longestSide);
            every.setSourceSubsampling(step, step, 0, 0);
            return reader.read(0, every);
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException e) {
            throw notAPicture();
        }
    }

    private static BufferedImage scaled(BufferedImage picture, int longestSide) {
        int longest = Math.max(picture.getWidth(), picture.getHeight());
        double factor = Math.min(1, (double) longestSide / longest);
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

    /** As the phone was held: its note of that is not kept, so the picture itself is turned. */
    private static BufferedImage turned(BufferedImage picture, Orientation orientation) {
        if (orientation == Orientation.UPRIGHT) {
            return picture;
        }
        int width = picture.getWidth();
        int height = picture.getHeight();
        boolean lying = orientation.swapsSides();
        BufferedImage drawn =
                new BufferedImage(
                        lying ? height : width, lying ? width : height, BufferedImage.TYPE_INT_RGB);
        AffineTransform turn = orientation.transform(width, height);
        Graphics2D g = drawn.createGraphics();
        g.drawImage(picture, turn, null);
        g.dispose();
        return drawn;
    }

    private static byte[] written(BufferedImage picture) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, "jpg", out);
        return out.toByteArray();
    }

    private static Problem notAPicture() {
        return refused("not-a-picture", Words.say("refused.picture-kind"));
    }

    private static Problem tooLarge() {
        return refused("picture-too-large", Words.say("refused.picture-size"));
    }

    private static Problem refused(String code, String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                code,
                Words.say("refused.picture", Map.of("why", sentence)),
                Map.of("field", "photo"));
    }
}
