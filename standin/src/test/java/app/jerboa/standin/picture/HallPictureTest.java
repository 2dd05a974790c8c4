package app.jerboa.standin.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.colour.PaintChange;
import app.jerboa.core.colour.PaintKnob;
import app.jerboa.core.colour.Rgb;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HallPictureTest {
    private static final Instant NOW = Instant.EPOCH;

    private static BufferedImage picture(
            double yaw, double angle, PaintKnob.Does what, double effect) {
        PaintKnob knob = new PaintKnob(what.word(), what, 0, 1, 0, effect);
        Sight sight = new Sight(HallScene.mount(2), yaw, -9, angle);
        return HallPicture.drawn(sight, new PaintChange(List.of(knob), new int[] {1}), NOW);
    }

    private static BufferedImage picture(double yaw, double angle) {
        return picture(yaw, angle, PaintKnob.Does.DETAIL, 1);
    }

    /** Where the red line across the ice is brightest red: how many pixels are red at all. */
    private static long red(BufferedImage picture) {
        long count = 0;
        for (int x = 0; x < Still.WIDTH; x++) {
            for (int y = 0; y < Still.HEIGHT; y++) {
                Color c = new Color(picture.getRGB(x, y));
                count += c.getRed() > 2 * c.getGreen() && c.getRed() > 100 ? 1 : 0;
            }
        }
        return count;
    }

    @Test
    void zoomedInThingsAreLargerAndPannedTheyMove() {
        assertThat(red(picture(0, 20))).isGreaterThan(3 * red(picture(0, 60)));
        BufferedImage ahead = picture(0, 60);
        BufferedImage right = picture(10, 60);
        assertThat(right.getRGB(320, 200)).isNotEqualTo(ahead.getRGB(320, 100));
        double focal = 320 / Math.tan(Math.toRadians(30));
        var path = new Sight(HallScene.mount(2), 10, 0, 60)
                .of(List.of(new HallScene.Place(HallScene.mount(2).x(), 38, 5.2)), 640, 360);
        assertThat(path.getBounds2D().getCenterX())
                .as("what was ahead is left of the middle by f x tan 10")
                .isCloseTo(320 - focal * Math.tan(Math.toRadians(10)), within(0.01));
    }

    /** The ice is a light grey-blue: what a knob makes of it is what the model says. */
    @ParameterizedTest
    @CsvSource({
        "RED_GAIN, 3", "BLUE_GAIN, -3", "GAIN, -6", "IRIS, -1", "MASTER_BLACK, 5", "GAMMA, 0.2",
        "SATURATION, 1", "HUE, 40", "DETAIL, 5",
    })
    void aKnobActsOnEveryPixelAsTheModelSays(PaintKnob.Does what, double effect) {
        PaintKnob knob = new PaintKnob("k", what, 0, 1, 0, effect);
        Rgb ice = new PaintChange(List.of(knob), new int[] {1}).of(new Rgb(0.80, 0.85, 0.88));
        BufferedImage picture = picture(0, 60, what, effect);
        Color is = new Color(picture.getRGB(250, 350));
        assertThat((double) is.getRed()).isCloseTo(Rgb.code(ice.red()), within(0.6));
        assertThat((double) is.getGreen()).isCloseTo(Rgb.code(ice.green()), within(0.6));
        assertThat((double) is.getBlue()).isCloseTo(Rgb.code(ice.blue()), within(0.6));
    }

    @Test
    void playersWalk() {
        Sight sight = new Sight(HallScene.mount(2), 0, -9, 60);
        PaintChange plain = new PaintChange(List.of(), new int[0]);
        BufferedImage later = HallPicture.drawn(sight, plain, NOW.plusSeconds(10));
        BufferedImage first = HallPicture.drawn(sight, plain, NOW);
        long moved = 0;
        for (int x = 0; x < Still.WIDTH; x++) {
            for (int y = 0; y < Still.HEIGHT; y++) {
                moved += later.getRGB(x, y) == first.getRGB(x, y) ? 0 : 1;
            }
        }
        assertThat(moved).isBetween(100L, 40_000L);
    }
}
