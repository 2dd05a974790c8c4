package app.jerboa.standin.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.colour.PaintChange;
import app.jerboa.core.colour.PaintKnob;
import app.jerboa.core.colour.Rgb;
import java.awt.Color;
import java.awt.geom.Rectangle2D;
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

    private static Rectangle2D seen(double yaw, double angle, HallScene.Place... corners) {
        return new Sight(HallScene.mount(2), yaw, 0, angle)
                .of(List.of(corners), Still.WIDTH, Still.HEIGHT)
                .getBounds2D();
    }

    /** By the tangent of half the angle of view; what is behind is not seen. */
    @Test
    void zoomedInThingsAreLargerAndPannedTheyMove() {
        double x = HallScene.mount(2).x();
        HallScene.Place left = new HallScene.Place(x - 1, 38, 5.2);
        HallScene.Place right = new HallScene.Place(x + 1, 38, 5.2);
        double wide = seen(0, 60, left, right).getWidth();
        double tele = seen(0, 20, left, right).getWidth();
        double larger = Math.tan(Math.toRadians(30)) / Math.tan(Math.toRadians(10));
        assertThat(tele / wide).isCloseTo(larger, within(1e-9));
        double focal = 320 / Math.tan(Math.toRadians(30));
        HallScene.Place ahead = new HallScene.Place(x, 38, 5.2);
        assertThat(seen(10, 60, ahead).getX())
                .isCloseTo(320 - focal * Math.tan(Math.toRadians(10)), within(0.01));
        assertThat(seen(180, 60, left, right).isEmpty()).isTrue();
        assertThat(picture(0, 60).getRGB(320, 200)).isNotEqualTo(picture(0, 20).getRGB(320, 20));
    }

    /** The ice is a light grey-blue: what a knob makes of it is what the model says. */
    @ParameterizedTest
    @CsvSource({
        "RED_GAIN, 3",
        "BLUE_GAIN, -3",
        "GAIN, -6",
        "IRIS, -1",
        "MASTER_BLACK, 5",
        "GAMMA, 0.2",
        "SATURATION, 1",
        "HUE, 40",
        "DETAIL, 5",
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
