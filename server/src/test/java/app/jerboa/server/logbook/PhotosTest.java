package app.jerboa.server.logbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.server.platform.Problem;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PhotosTest {
    /** Red at the left upper corner, blue below it, green at its right. */
    private static byte[] picture(int width, int height, String format, int type) {
        BufferedImage image = new BufferedImage(width, height, type);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.GREEN);
        g.fillRect(0, 0, width, height);
        g.setColor(Color.BLUE);
        g.fillRect(0, height / 2, width / 2, height);
        g.setColor(Color.RED);
        g.fillRect(0, 0, width / 2, height / 2);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    private static byte[] held(byte[] jpeg, int orientation, boolean little) {
        byte[] tiff =
                little
                        ? new byte[] {
                            'I',
                            'I',
                            42,
                            0,
                            8,
                            0,
                            0,
                            0,
                            1,
                            0,
                            0x12,
                            1,
                            3,
                            0,
                            1,
                            0,
                            0,
                            0,
                            (byte) orientation,
                            0,
                            0,
                            0,
                            0,
                            0,
                            0,
                            0
                        }
                        : new byte[] {
                            'M',
                            'M',
                            0,
                            42,
                            0,
                            0,
                            0,
                            8,
                            0,
                            1,
                            1,
                            0x12,
                            0,
                            3,
                            0,
                            0,
                            0,
                            1,
                            0,
                            (byte) orientation,
                            0,
                            0,
                            0,
                            0,
                            0,
                            0
                        };
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        int length = 2 + 6 + tiff.length;
        out.writeBytes(
                new byte[] {
                    (byte) 0xFF,
                    (byte) 0xE1,
                    (byte) (length >> 8),
                    (byte) length,
                    'E',
                    'x',
                    'i',
                    'f',
                    0,
                    0
                });
        out.writeBytes(tiff);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private static String colour(BufferedImage image, double x, double y) {
        Color c =
                new Color(
                        image.getRGB((int) (x * image.getWidth()), (int) (y * image.getHeight())));
        return c.getRed() > 150 ? "red" : c.getBlue() > 150 ? "blue" : "green";
    }

    /**
     * Where the red corner is, and which colour lies on its horizontal side, once the picture is
     * turned.
     */
    @ParameterizedTest
    @CsvSource({
        "1, 0.2, 0.2, 300, green", "2, 0.8, 0.2, 300, green", "3, 0.8, 0.8, 300, green",
        "4, 0.2, 0.8, 300, green", "5, 0.2, 0.2, 200, blue", "6, 0.8, 0.2, 200, blue",
        "7, 0.8, 0.8, 200, blue", "8, 0.2, 0.8, 200, blue"
    })
    void aPhotoStandsAsThePhoneWasHeld(
            int orientation, double x, double y, int width, String beside) throws IOException {
        byte[] jpeg = picture(300, 200, "jpg", BufferedImage.TYPE_INT_RGB);
        for (boolean little : new boolean[] {true, false}) {
            byte[] kept = Photos.asJpeg(held(jpeg, orientation, little));
            BufferedImage seen = ImageIO.read(new ByteArrayInputStream(kept));
            assertThat(seen.getWidth()).isEqualTo(width);
            assertThat(colour(seen, x, y)).isEqualTo("red");
            assertThat(colour(seen, 1 - x, y)).isEqualTo(beside);
            assertThat(Orientation.of(kept)).isEqualTo(Orientation.UPRIGHT);
        }
    }

    @Test
    void aLargePictureIsNeverUnfoldedWhole() throws IOException {
        byte[] large = picture(6_000, 6_000, "png", BufferedImage.TYPE_BYTE_BINARY);
        BufferedImage kept = ImageIO.read(new ByteArrayInputStream(Photos.asJpeg(large)));
        assertThat(kept.getWidth()).isEqualTo(Photos.LONGEST_SIDE);
    }

    @Test
    void tooManyPixelsAreRefusedBeforeTheyAreRead() {
        byte[] bomb = picture(7_700, 7_700, "png", BufferedImage.TYPE_BYTE_BINARY);
        assertThat(bomb.length).isLessThan(300_000);
        assertThatThrownBy(() -> Photos.asJpeg(bomb))
                .isInstanceOfSatisfying(
                        Problem.class, p -> assertThat(p.code()).isEqualTo("picture-too-large"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"gif", "bmp"})
    void onlyJpegAndPngAreTaken(String format) {
        byte[] other = picture(30, 20, format, BufferedImage.TYPE_INT_RGB);
        assertThat(other).isNotEmpty();
        assertThatThrownBy(() -> Photos.asJpeg(other))
                .isInstanceOfSatisfying(
                        Problem.class, p -> assertThat(p.code()).isEqualTo("not-a-picture"));
    }
}
