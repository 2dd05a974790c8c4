package app.jerboa.standin.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BlurTest {
    private static int mean(int[] pixels, int width, int x, int y, int radius, int shift) {
        int height = pixels.length / width;
        long sum = 0;
        int count = 0;
        for (int v = Math.max(0, y - radius); v <= Math.min(height - 1, y + radius); v++) {
            for (int u = Math.max(0, x - radius); u <= Math.min(width - 1, x + radius); u++) {
                sum += pixels[v * width + u] >> shift & 255;
                count++;
            }
        }
        return (int) Math.round((double) sum / count);
    }

    /** By brute force: with one radius all over, each pixel is the mean of the square around it. */
    @Test
    void isTheMeanOfWhatIsAround() {
        Random random = new Random(3);
        for (int width = 1; width < 30; width += 7) {
            for (int radius : new int[] {0, 1, 4, 40}) {
                int[] pixels = random.ints(width * 11L, 0, 0x1000000).toArray();
                byte[] all = new byte[pixels.length];
                Arrays.fill(all, (byte) radius);
                int[] smeared = pixels.clone();
                Blur.smear(smeared, all, width);
                for (int i = 0; i < pixels.length; i++) {
                    for (int shift = 0; shift <= 16; shift += 8) {
                        int is = smeared[i] >> shift & 255;
                        int wanted = mean(pixels, width, i % width, i / width, radius, shift);
                        // Rounded twice: once along the row, once along the column.
                        assertThat(is).isCloseTo(wanted, within(1));
                    }
                }
            }
        }
    }

    @Test
    void whatIsSharpStaysAsItIs() {
        int[] pixels = new Random(4).ints(400, 0, 0x1000000).toArray();
        byte[] radius = new byte[400];
        Arrays.fill(radius, 0, 100, (byte) 3);
        int[] smeared = pixels.clone();
        Blur.smear(smeared, radius, 20);
        assertThat(Arrays.copyOfRange(smeared, 100, 400))
                .isEqualTo(Arrays.copyOfRange(pixels, 100, 400));
        assertThat(smeared[30]).isNotEqualTo(pixels[30]);
    }
}
