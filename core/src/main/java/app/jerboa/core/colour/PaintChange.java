package app.jerboa.core.colour;

import java.util.List;

/**
 * What turning knobs makes of a colour: v' = max(0, black + exposure x gain x (M . v)) to the power
 * of 1 + gamma, where M is a turn about the greys of s I + (1 - s) L, every row of L the luma
 * weights.
 */
public final class PaintChange {
    private double exposure = 1;
    private double redGain = 1;
    private double blueGain = 1;
    private double black;
    private double redBlack;
    private double blueBlack;
    private double exponent = 1;
    private double saturation = 1;
    private double hueDegrees;

    /**
     * @param steps of each knob, in the same order
     */
    public PaintChange(List<PaintKnob> knobs, int[] steps) {
        for (int i = 0; i < steps.length; i++) {
            turn(knobs.get(i).what(), knobs.get(i).effect() * steps[i]);
        }
    }

    private void turn(PaintKnob.Does what, double by) {
        switch (what) {
            case RED_GAIN -> redGain *= decibels(by);
            case BLUE_GAIN -> blueGain *= decibels(by);
            case GAIN -> exposure *= decibels(by);
            case IRIS, ND_FILTER -> exposure *= Math.pow(2, by);
            case MASTER_BLACK -> black += by / 100;
            case RED_BLACK -> redBlack += by / 100;
            case BLUE_BLACK -> blueBlack += by / 100;
            case GAMMA -> exponent += by;
            case SATURATION -> saturation *= Math.max(0, 1 + by);
            case HUE -> hueDegrees += by;
            case DETAIL -> {
                // Nothing of it is seen in a mean.
            }
        }
    }

    private static double decibels(double by) {
        return Math.pow(10, by / 20);
    }

    public Rgb of(Rgb v) {
        double luma = v.luma() * (1 - saturation);
        double r = saturation * v.red() + luma;
        double g = saturation * v.green() + luma;
        double b = saturation * v.blue() + luma;
        double angle = Math.toRadians(hueDegrees);
        double same = (1 - Math.cos(angle)) / 3 * (r + g + b);
        double cos = Math.cos(angle);
        double sin = Math.sin(angle) / Math.sqrt(3);
        return new Rgb(
                shaped(black + redBlack + exposure * redGain * (cos * r + same + sin * (b - g))),
                shaped(black + exposure * (cos * g + same + sin * (r - b))),
                shaped(black + blueBlack + exposure * blueGain * (cos * b + same + sin * (g - r))));
    }

    private double shaped(double v) {
        return Math.pow(Math.max(0, v), Math.max(0.05, exponent));
    }
}
