package app.jerboa.standin.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import javax.imageio.ImageIO;

/** One picture of a camera with its name and clock, as JPEG. */
public final class Still {
    static final int WIDTH = 960;
    static final int HEIGHT = 540;
    private static final int BAND = 34;
    private static final int DOT = 6;
    private static final DateTimeFormatter CLOCK =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss").withZone(ZoneOffset.UTC);
    private static final Color[] BARS = {
        Color.WHITE, Color.YELLOW, Color.CYAN, Color.GREEN, Color.MAGENTA, Color.RED, Color.BLUE
    };

    static {
        // A picture of a moment needs no file while it is written.
        ImageIO.setUseCache(false);
    }

    private Still() {}

    /**
     * Bars, of one that looks at nothing here.
     *
     * @param overlay its menu and status stand in it
     */
    public static byte[] of(String name, String format, Instant now, boolean overlay) {
        BufferedImage picture = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = picture.createGraphics();
        for (int i = 0; i < BARS.length; i++) {
            g.setColor(BARS[i]);
            int from = WIDTH * i / BARS.length;
            g.fillRect(from, 0, WIDTH * (i + 1) / BARS.length - from, HEIGHT * 2 / 3);
        }
        g.setColor(Color.BLACK);
        g.fillRect(0, HEIGHT * 2 / 3, WIDTH, HEIGHT);
        g.setColor(Color.WHITE);
        DotLetters.write(g, name, 20, HEIGHT * 2 / 3 + 15, DOT);
        DotLetters.write(g, CLOCK.format(now), 20, HEIGHT - 50, DOT - 1);
        if (overlay) {
            g.setColor(Color.BLACK);
            DotLetters.write(g, "MENU " + format, 20, 20, DOT);
        }
        g.dispose();
        return jpeg(picture);
    }

    /** What it sees, with its name and clock along the lower edge. */
    public static byte[] of(
            BufferedImage seen, String name, String format, Instant now, boolean overlay) {
        Graphics2D g = seen.createGraphics();
        g.setColor(Color.BLACK);
        g.fillRect(0, HEIGHT - BAND, WIDTH, BAND);
        g.setColor(Color.WHITE);
        DotLetters.write(g, name, 10, HEIGHT - BAND + 7, 3);
        DotLetters.write(g, CLOCK.format(now), WIDTH - 360, HEIGHT - BAND + 7, 3);
        if (overlay) {
            DotLetters.write(g, "MENU " + format, 20, 20, DOT);
        }
        g.dispose();
        return jpeg(seen);
    }

    private static byte[] jpeg(BufferedImage picture) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "jpeg", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
