package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.job.cabling.drawing.Shape.Kind;
import app.jerboa.core.job.cabling.drawing.Shape.Tone;
import java.util.ArrayList;
import java.util.List;

/** A sheet that is drawn on from the top down. */
final class Sheet {
    static final double WIDTH = 1000;

    private final List<Shape> shapes = new ArrayList<>();
    private double y = 4;

    double y() {
        return y;
    }

    void down(double by) {
        y += by;
    }

    void heading(String text) {
        down(20);
        text(0, y, text, Tone.HEADING, 0, 0);
        down(14);
    }

    void box(
            Kind kind, double x, double top, double w, double h, Tone tone, long run, long device) {
        shapes.add(new Shape(kind, x, top, w, h, "", tone, run, device));
    }

    void line(double x, double top, double right, double down, Tone tone, long run) {
        shapes.add(new Shape(Kind.LINE, x, top, right, down, "", tone, run, 0));
    }

    void text(double x, double baseline, String text, Tone tone, long run, long device) {
        shapes.add(new Shape(Kind.TEXT, x, baseline, 0, 0, text, tone, run, device));
    }

    void middle(double x, double baseline, String text, Tone tone, long run, long device) {
        shapes.add(new Shape(Kind.MIDDLE, x, baseline, 0, 0, text, tone, run, device));
    }

    /**
     * @param share filled, 0 to 1; more is shown full
     */
    void bar(double x, double top, double share, Tone tone) {
        double filled = Math.min(1, Math.max(0, share)) * Shape.BAR;
        shapes.add(new Shape(Kind.BAR, x, top, filled, 8, "", tone, 0, 0));
    }

    Drawing done() {
        return new Drawing(WIDTH, y + 8, shapes);
    }

    /** A name in one line or two, broken between words where it can be. */
    static List<String> broken(String text, int most) {
        int space = text.lastIndexOf(' ', most);
        if (text.length() <= most) {
            return List.of(text);
        } else if (space <= 0) {
            return List.of(fit(text, most));
        }
        return List.of(text.substring(0, space), fit(text.substring(space + 1), most));
    }

    /** A text that fits: what is too long ends in dots. */
    static String fit(String text, int most) {
        return text.length() <= most ? text : text.substring(0, most - 1) + "…";
    }
}
