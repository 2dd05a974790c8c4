package app.jerboa.standin.picture;

import app.jerboa.core.colour.PaintChange;
import app.jerboa.core.colour.Rgb;
import app.jerboa.core.profile.Head;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.KnobBank;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.time.Instant;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What one camera of the hall sees, from where its head points and as its knobs stand. */
public final class HallPicture {
    /** The heads are hung tilted down to the ice. */
    private static final double HUNG = -9;

    private static final Rgb VOID = new Rgb(0.02, 0.025, 0.03);
    private static final Pattern NUMBER = Pattern.compile("\\d+");

    private HallPicture() {}

    /**
     * @param name of the camera: its number says over which sheet it hangs
     * @param state of its head at that moment
     */
    public static BufferedImage of(
            String name, Head head, HeadState state, KnobBank bank, Instant now) {
        Sight sight =
                new Sight(
                        HallScene.mount(line(name)),
                        state.pan(),
                        state.tilt() + HUNG,
                        head.lens().angleDegrees(state.zoom()));
        return drawn(sight, CameraLook.of(bank), now);
    }

    private static int line(String name) {
        Matcher number = NUMBER.matcher(name);
        return number.find() ? Integer.parseInt(number.group()) : 1;
    }

    static BufferedImage drawn(Sight sight, PaintChange look, Instant now) {
        BufferedImage picture =
                new BufferedImage(Still.WIDTH, Still.HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = picture.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(colour(look, VOID));
        g.fillRect(0, 0, Still.WIDTH, Still.HEIGHT);
        for (HallScene.Shape shape : HallScene.at(now)) {
            g.setColor(colour(look, shape.colour()));
            g.fill(sight.of(shape.corners(), Still.WIDTH, Still.HEIGHT));
        }
        g.dispose();
        return picture;
    }

    private static Color colour(PaintChange look, Rgb scene) {
        Rgb v = look.of(scene);
        return new Color(code(v.red()), code(v.green()), code(v.blue()));
    }

    private static int code(double linear) {
        return (int) Math.round(Rgb.code(linear));
    }
}
