package app.jerboa.standin.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.colour.PaintChange;
import app.jerboa.core.colour.PaintKnob;
import app.jerboa.core.colour.Rgb;
import app.jerboa.core.knob.Knob;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.standin.device.KnobBank;
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
    private static final PaintChange PLAIN = new PaintChange(List.of(), new int[0]);

    /** A lens so short that nothing is out of focus. */
    private static final Optics SHARP = new Optics(1, 5.4, 8, 30);

    private static BufferedImage picture(
            double yaw, double angle, PaintKnob.Does what, double effect) {
        PaintKnob knob = new PaintKnob(what.word(), what, 0, 1, 0, effect);
        return drawn(yaw, angle, new PaintChange(List.of(knob), new int[] {1}), SHARP, 0);
    }

    private static BufferedImage drawn(
            double yaw, double angle, PaintChange look, Optics optics, double gainDb) {
        Sight sight = new Sight(HallScene.mount(2), yaw, -9, 0, angle);
        HallPicture.Set set = new HallPicture.Set(look, optics, 0, Noise.deviation(gainDb));
        return HallPicture.drawn(sight, HallScene.at(NOW), set, 1);
    }

    private static BufferedImage picture(double yaw, double angle) {
        return picture(yaw, angle, PaintKnob.Does.DETAIL, 1);
    }

    private static Rectangle2D seen(double yaw, double angle, HallScene.Place... corners) {
        return new Sight(HallScene.mount(2), yaw, 0, 0, angle)
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
        double focal = 480 / Math.tan(Math.toRadians(30));
        HallScene.Place ahead = new HallScene.Place(x, 38, 5.2);
        assertThat(seen(10, 60, ahead).getX())
                .isCloseTo(480 - focal * Math.tan(Math.toRadians(10)), within(0.01));
        assertThat(seen(180, 60, left, right).isEmpty()).isTrue();
        assertThat(picture(0, 60).getRGB(480, 300)).isNotEqualTo(picture(0, 20).getRGB(480, 30));
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
        Color is = new Color(picture.getRGB(375, 525));
        assertThat((double) is.getRed()).isCloseTo(Rgb.code(ice.red()), within(0.6));
        assertThat((double) is.getGreen()).isCloseTo(Rgb.code(ice.green()), within(0.6));
        assertThat((double) is.getBlue()).isCloseTo(Rgb.code(ice.blue()), within(0.6));
    }

    /** Rolled clockwise, what was at the upper edge of the picture goes to its left. */
    @ParameterizedTest
    @CsvSource({"0, 480, 120", "90, 330, 270", "-90, 630, 270", "180, 480, 420"})
    void aRolledHeadTurnsItsPicture(double roll, double x, double y) {
        HallScene.Place at = HallScene.mount(2);
        double focal = Still.WIDTH / 2.0 / Math.tan(Math.toRadians(30));
        double up = 10 * (Still.HEIGHT / 2.0 - 120) / focal;
        List<HallScene.Place> point =
                List.of(
                        new HallScene.Place(at.x(), at.y() + 10, at.z() + up),
                        new HallScene.Place(at.x() + 0.01, at.y() + 10, at.z() + up),
                        new HallScene.Place(at.x(), at.y() + 10, at.z() + up + 0.01));
        Rectangle2D seen =
                new Sight(at, 0, 0, roll, 60).of(point, Still.WIDTH, Still.HEIGHT).getBounds2D();
        assertThat(seen.getCenterX()).isCloseTo(x, within(1.0));
        assertThat(seen.getCenterY()).isCloseTo(y, within(1.0));
    }

    @Test
    void playersWalk() {
        Sight sight = new Sight(HallScene.mount(2), 0, -9, 0, 60);
        HallPicture.Set set = new HallPicture.Set(PLAIN, SHARP, 0, 0);
        BufferedImage later = HallPicture.drawn(sight, HallScene.at(NOW.plusSeconds(10)), set, 1);
        BufferedImage first = HallPicture.drawn(sight, HallScene.at(NOW), set, 1);
        long moved = 0;
        for (int x = 0; x < Still.WIDTH; x++) {
            for (int y = 0; y < Still.HEIGHT; y++) {
                moved += later.getRGB(x, y) == first.getRGB(x, y) ? 0 : 1;
            }
        }
        assertThat(moved).isBetween(200L, 90_000L);
    }

    /** f²/N |1/s - 1/d|: longer, wider open and further from where it is sharp, the larger. */
    @ParameterizedTest
    @CsvSource({
        "100, 2.0, 40, 40, 0",
        "100, 2.0, 40, 20, 0.125",
        "200, 2.0, 40, 20, 0.5",
        "100, 4.0, 40, 20, 0.0625",
        "100, 2.0, 20, 40, 0.125",
        "100, 2.0, Infinity, 20, 0.25",
        "100, 2.0, 20, Infinity, 0.25",
    })
    void aPointOutOfFocusIsACircle(
            double focal, double fNumber, double sharpAt, double metres, double millimetres) {
        Optics optics = new Optics(focal, 5, fNumber, sharpAt);
        assertThat(optics.circle(metres)).isCloseTo(millimetres / 5, within(1e-9));
    }

    /** How much the brightness turns from pixel to pixel along the tee line, at its sharpest. */
    private static int edge(BufferedImage picture, int x) {
        int most = 0;
        for (int y = 340; y < 400; y++) {
            int green = new Color(picture.getRGB(x, y)).getGreen();
            int below = new Color(picture.getRGB(x, y + 1)).getGreen();
            most = Math.max(most, Math.abs(green - below));
        }
        return most;
    }

    @Test
    void longLensesAreSharpWhereTheirRingStandsAndSofterWideOpen() {
        double focal = 40;
        double teeAhead = new Sight(HallScene.mount(2), 0, -9, 0, 8).middle(HallScene.at(NOW));
        int[] edges =
                List.of(
                                new Optics(focal, 5.4, 2, teeAhead),
                                new Optics(focal, 5.4, 11, 12),
                                new Optics(focal, 5.4, 2, 12))
                        .stream()
                        .mapToInt(o -> edge(drawn(0, 8, PLAIN, o, 0), 300))
                        .toArray();
        assertThat(edges[0]).isGreaterThan(2 * edges[1]);
        assertThat(edges[1]).isGreaterThan(2 * edges[2]);
    }

    private static BufferedImage detailed(double amount) {
        Sight sight = new Sight(HallScene.mount(2), 0, -9, 0, 60);
        HallPicture.Set set = new HallPicture.Set(PLAIN, SHARP, amount, 0);
        return HallPicture.drawn(sight, HallScene.at(NOW), set, 1);
    }

    /** An edge of 40 in a grey of 100: twice as hard, or halfway to smooth; what is flat stays. */
    @ParameterizedTest
    @CsvSource({"0, 100, 140", "0.75, 90, 150", "-0.75, 110, 130", "1, 87, 153"})
    void detailDrawsEdgesAndLeavesTheFlat(double amount, int dark, int light) {
        int width = 8;
        int[] pixels = new int[width * 5];
        for (int i = 0; i < pixels.length; i++) {
            int code = i % width < 4 ? 100 : 140;
            pixels[i] = code << 16 | code << 8 | code;
        }
        Detail.add(pixels, width, amount);
        int row = 2 * width;
        assertThat(pixels[row + 3] & 255).isCloseTo(dark, within(1));
        assertThat(pixels[row + 4] >> 16 & 255).isCloseTo(light, within(1));
        assertThat(pixels[row + 1] & 255).isEqualTo(100);
        assertThat(pixels[row + 6] >> 8 & 255).isEqualTo(140);
    }

    /** Turned at the camera, it is seen at the edges of its picture and nowhere on the ice. */
    @Test
    void detailIsSeenInThePicture() {
        BufferedImage plain = detailed(0);
        assertThat(edge(detailed(1), 300)).isGreaterThan(edge(plain, 300));
        assertThat(edge(detailed(-1), 300)).isLessThan(edge(plain, 300));
        assertThat(detailed(1).getRGB(375, 525)).isEqualTo(plain.getRGB(375, 525));
    }

    @ParameterizedTest
    @CsvSource({"5, 0", "15, 1", "0, -1", "10, 0.5", "4, -0.2"})
    void aKnobIsTurnedFromWhereItChangesNothing(int value, double amount) {
        KnobBank bank = new KnobBank(ShippedProfiles.read("ceiling-ptz").orElseThrow(), 1);
        Knob knob = bank.profile().knob("detail").orElseThrow();
        bank.put(knob, value);
        assertThat(Detail.amount(bank)).isCloseTo(amount, within(1e-3));
    }

    /** Its mean stays, its spread is what the gain makes of it. */
    @ParameterizedTest
    @CsvSource({"0, 0", "6, 0.798", "12, 1.592", "24, 6.34"})
    void gainMakesNoise(double gainDb, double deviation) {
        BufferedImage picture = drawn(0, 60, PLAIN, SHARP, gainDb);
        double sum = 0;
        double squares = 0;
        int count = 0;
        for (int x = 420; x < 470; x++) {
            for (int y = 480; y < 530; y++) {
                int red = new Color(picture.getRGB(x, y)).getRed();
                sum += red;
                squares += (double) red * red;
                count++;
            }
        }
        double mean = sum / count;
        double spread = Math.sqrt(Math.max(0, squares / count - mean * mean));
        assertThat(mean).isCloseTo(Rgb.code(0.80), within(0.6));
        // Whole codes are a little rougher than what they were rounded from.
        assertThat(spread).isCloseTo(deviation, within(0.1 + deviation / 20));
    }

    @Test
    void anAutomaticIsSharpAtWhatStandsInTheMiddle() {
        Sight atFloor = new Sight(HallScene.mount(2), 0, -30, 0, 8);
        assertThat(atFloor.middle(HallScene.at(NOW))).isCloseTo(5.2 / 0.5, within(1e-9));
        // Level, at the hog line 19 m ahead, nothing stands as high as the camera: the wall does.
        Sight level = new Sight(HallScene.mount(2), 0, 0, 0, 8);
        assertThat(level.middle(HallScene.at(NOW))).isCloseTo(40, within(1e-9));
        Sight up = new Sight(HallScene.mount(2), 0, 30, 0, 8);
        assertThat(up.middle(HallScene.at(NOW))).isInfinite();
    }
}
