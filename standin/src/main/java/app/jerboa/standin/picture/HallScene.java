package app.jerboa.standin.picture;

import app.jerboa.core.colour.Lab;
import app.jerboa.core.colour.Rgb;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What stands in the simulated hall: four sheets of ice with their rings, a chart at each hog line,
 * players that walk slowly. Metres: x right, y down the ice, z up.
 */
final class HallScene {
    /** Where something is. */
    record Place(double x, double y, double z) {}

    /**
     * A flat shape of one colour.
     *
     * @param upright it stands across the hall; else it lies on the floor
     */
    record Shape(List<Place> corners, Rgb colour, boolean upright) {}

    private static final double LENGTH = 45;
    private static final double WIDTH = 4.75;
    private static final double GAP = 0.6;
    private static final double TEE = 38;
    private static final double HOG = 27;
    private static final double SIDE = 14;
    private static final int SHEETS = 4;
    private static final double[] GREYS = {0.03, 0.06, 0.12, 0.19, 0.30, 0.45, 0.65, 0.90};
    private static final Rgb ICE = new Rgb(0.80, 0.85, 0.88);
    private static final Rgb RED = new Rgb(0.45, 0.04, 0.03);
    private static final Rgb BLUE = new Rgb(0.03, 0.16, 0.30);
    private static final Rgb DARK = new Rgb(0.04, 0.04, 0.045);
    private static final Rgb[] SHIRTS = {
        new Rgb(0.20, 0.07, 0.26),
        new Rgb(0.05, 0.20, 0.11),
        new Rgb(0.35, 0.13, 0.03),
        new Rgb(0.04, 0.11, 0.33)
    };

    private final List<Shape> shapes = new ArrayList<>();

    private HallScene() {}

    /** Where the camera of a line hangs: over the home end of its sheet. */
    static Place mount(int line) {
        return new Place(centre(1 + Math.floorMod(line - 1, SHEETS)), 8, 5.2);
    }

    private static double centre(int sheet) {
        return (sheet - 2.5) * (WIDTH + GAP);
    }

    /** As it is at this moment, far things first. */
    static List<Shape> at(Instant now) {
        HallScene scene = new HallScene();
        scene.flat(-SIDE, -2, SIDE, LENGTH + 3, new Rgb(0.26, 0.23, 0.18));
        scene.upright(-SIDE, SIDE, LENGTH + 3, 0, 6, new Rgb(0.15, 0.19, 0.17));
        scene.upright(-SIDE, SIDE, LENGTH + 3, 3.6, 4.4, new Rgb(0.68, 0.60, 0.44));
        for (int sheet = 1; sheet <= SHEETS; sheet++) {
            scene.sheet(centre(sheet));
        }
        scene.standing(now);
        return List.copyOf(scene.shapes);
    }

    private void sheet(double x) {
        double left = x - WIDTH / 2;
        flat(left, 0, left + WIDTH, LENGTH, ICE);
        for (double tee : new double[] {6, TEE}) {
            ring(x, tee, 1.83, BLUE);
            ring(x, tee, 1.22, ICE);
            ring(x, tee, 0.61, RED);
            ring(x, tee, 0.15, ICE);
        }
        flat(left, HOG - 0.06, left + WIDTH, HOG + 0.06, RED);
        flat(left, TEE - 0.06, left + WIDTH, TEE + 0.06, new Rgb(0.09, 0.12, 0.14));
        flat(x - 0.03, 2, x + 0.03, LENGTH - 2, new Rgb(0.32, 0.38, 0.42));
    }

    /** Charts and players, by how far they are. */
    private void standing(Instant now) {
        double seconds = now.toEpochMilli() / 1000.0;
        List<Runnable> near = new ArrayList<>();
        List<Double> far = new ArrayList<>();
        for (int sheet = 1; sheet <= SHEETS; sheet++) {
            double x = centre(sheet);
            double walk = Math.sin(seconds / 9 + sheet);
            Rgb shirt = SHIRTS[sheet - 1];
            far.add(TEE + 2.6);
            near.add(() -> player(x - 0.9 + 0.5 * walk, TEE + 2.6, shirt));
            far.add(31 + 2 * walk);
            near.add(() -> player(x + 1.3, 31 + 2 * walk, shirt));
            far.add(HOG);
            near.add(() -> chart(x + 1));
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < far.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingDouble(i -> -far.get(i)));
        order.forEach(i -> near.get(i).run());
    }

    /** Six hues, eight greys, six hues, as the printed chart has them. */
    private void chart(double x) {
        double w = 0.15;
        upright(x - 0.08, x + 8 * w + 0.08, HOG, 0, 1.9, DARK);
        for (int i = 0; i < 6; i++) {
            double wide = 8 * w / 6;
            hue(x + i * wide, wide, 1.3, 15 + 30 * i);
            hue(x + i * wide, wide, 0.3, 195 + 30 * i);
        }
        for (int i = 0; i < GREYS.length; i++) {
            upright(x + i * w, x + (i + 1) * w, HOG, 0.8, 1.3, grey(GREYS[i]));
        }
    }

    private void hue(double x, double wide, double z, double degrees) {
        double turn = Math.toRadians(degrees);
        Lab lab = new Lab(60, 25 * Math.cos(turn), 25 * Math.sin(turn));
        upright(x, x + wide, HOG, z, z + 0.5, Rgb.of(lab));
    }

    private static Rgb grey(double reflectance) {
        return new Rgb(reflectance, reflectance, reflectance);
    }

    private void player(double x, double y, Rgb shirt) {
        upright(x - 0.22, x + 0.22, y, 0, 0.85, DARK);
        upright(x - 0.28, x + 0.28, y, 0.85, 1.45, shirt);
        upright(x - 0.12, x + 0.12, y, 1.47, 1.75, new Rgb(0.56, 0.32, 0.20));
    }

    private void flat(double x1, double y1, double x2, double y2, Rgb colour) {
        shapes.add(
                new Shape(
                        List.of(
                                new Place(x1, y1, 0),
                                new Place(x2, y1, 0),
                                new Place(x2, y2, 0),
                                new Place(x1, y2, 0)),
                        colour,
                        false));
    }

    private void upright(double x1, double x2, double y, double z1, double z2, Rgb colour) {
        shapes.add(
                new Shape(
                        List.of(
                                new Place(x1, y, z1),
                                new Place(x2, y, z1),
                                new Place(x2, y, z2),
                                new Place(x1, y, z2)),
                        colour,
                        true));
    }

    private void ring(double x, double y, double radius, Rgb colour) {
        List<Place> round = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            double a = i / 40.0 * 2 * Math.PI;
            round.add(new Place(x + radius * Math.cos(a), y + radius * Math.sin(a), 0));
        }
        shapes.add(new Shape(List.copyOf(round), colour, false));
    }
}
