package app.jerboa.standin.picture;

import app.jerboa.core.colour.PaintChange;
import app.jerboa.core.colour.Rgb;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.TurnedRound;
import app.jerboa.core.profile.Head;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.KnobBank;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferInt;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What one camera of the hall sees, from where its head points and as its knobs stand. */
public final class HallPicture {
    /** The heads are hung tilted down to the ice. */
    private static final double HUNG = -9;

    private static final Rgb VOID = new Rgb(0.02, 0.025, 0.03);
    private static final Pattern NUMBER = Pattern.compile("\\d+");

    /** Smeared by a running mean, a point stays as wide as its circle about so far to each side. */
    private static final double RADIUS_OF_CIRCLE = 0.45;

    private static final int WIDEST_RADIUS = 60;

    /** How the camera is set. */
    record Set(PaintChange look, Optics optics, double detail, double noise) {}

    private HallPicture() {}

    /**
     * @param number of the camera says over which sheet it hangs
     * @param state of its head at that moment
     * @param roll of its head then, degrees clockwise
     */
    public static BufferedImage of(
            int number, Head head, HeadState state, double roll, KnobBank bank, Instant now) {
        List<HallScene.Shape> scene = HallScene.at(now);
        Sight sight = sight(number, head, state, roll + shown(bank));
        double middle = sight.middle(scene);
        Set set =
                new Set(
                        CameraLook.of(bank),
                        Optics.of(head.lens(), state.zoom(), bank, middle),
                        Detail.amount(bank),
                        Noise.deviation(CameraLook.gainDb(bank)));
        return drawn(sight, scene, set, now.toEpochMilli());
    }

    /** Where its ring stands when an automatic has made the middle of the picture sharp. */
    public static int focused(int number, Head head, HeadState state, Knob ring, Instant now) {
        return Optics.ring(ring, sight(number, head, state, 0).middle(HallScene.at(now)));
    }

    /** One that was told to hang the other way turns its picture over. */
    private static double shown(KnobBank bank) {
        return bank.turnedRound().filter(TurnedRound.BOTH::equals).isPresent() ? 180 : 0;
    }

    private static Sight sight(int number, Head head, HeadState state, double roll) {
        return new Sight(
                HallScene.mount(number),
                state.pan(),
                state.tilt() + HUNG,
                roll,
                head.lens().angleDegrees(state.zoom()));
    }

    /** The first number in a name; 1 without one. */
    public static int number(String name) {
        Matcher number = NUMBER.matcher(name);
        return number.find() ? Integer.parseInt(number.group()) : 1;
    }

    static BufferedImage drawn(Sight sight, List<HallScene.Shape> scene, Set set, long seed) {
        BufferedImage picture =
                new BufferedImage(Still.WIDTH, Still.HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = picture.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(colour(set.look(), VOID));
        g.fillRect(0, 0, Still.WIDTH, Still.HEIGHT);
        for (HallScene.Shape shape : scene) {
            g.setColor(colour(set.look(), shape.colour()));
            g.fill(sight.of(shape.corners(), Still.WIDTH, Still.HEIGHT));
        }
        g.dispose();
        int[] pixels = ((DataBufferInt) picture.getRaster().getDataBuffer()).getData();
        byte[] radius = radius(sight, scene, set.optics());
        if (anySmeared(radius)) {
            Blur.smear(pixels, radius, Still.WIDTH);
        }
        Detail.add(pixels, Still.WIDTH, set.detail());
        Noise.add(pixels, set.noise(), seed);
        return picture;
    }

    private static boolean anySmeared(byte[] radius) {
        for (byte r : radius) {
            if (r != 0) {
                return true;
            }
        }
        return false;
    }

    /** By how many pixels each one is smeared: rows of the floor, and what stands before it. */
    private static byte[] radius(Sight sight, List<HallScene.Shape> scene, Optics optics) {
        BufferedImage map =
                new BufferedImage(Still.WIDTH, Still.HEIGHT, BufferedImage.TYPE_BYTE_GRAY);
        byte[] radius = ((DataBufferByte) map.getRaster().getDataBuffer()).getData();
        for (int y = 0; y < Still.HEIGHT; y++) {
            double metres = sight.floorAhead(y, Still.WIDTH, Still.HEIGHT);
            int from = y * Still.WIDTH;
            Arrays.fill(radius, from, from + Still.WIDTH, (byte) pixels(optics, metres));
        }
        Graphics2D g = map.createGraphics();
        for (HallScene.Shape shape : scene) {
            double metres = shape.upright() ? sight.ahead(shape.corners().get(0)) : 0;
            if (metres > 0) {
                int grey = pixels(optics, metres);
                g.setColor(new Color(grey, grey, grey));
                g.fill(sight.of(shape.corners(), Still.WIDTH, Still.HEIGHT));
            }
        }
        g.dispose();
        return radius;
    }

    private static int pixels(Optics optics, double metres) {
        double circle = optics.circle(metres) * Still.WIDTH;
        return (int) Math.min(WIDEST_RADIUS, Math.round(RADIUS_OF_CIRCLE * circle));
    }

    private static Color colour(PaintChange look, Rgb scene) {
        Rgb v = look.of(scene);
        return new Color(code(v.red()), code(v.green()), code(v.blue()));
    }

    private static int code(double linear) {
        return (int) Math.round(Rgb.code(linear));
    }
}
