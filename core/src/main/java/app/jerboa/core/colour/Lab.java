package app.jerboa.core.colour;

/** A colour of CIELAB, white D65. */
public record Lab(double l, double a, double b) {
    static final double WHITE_X = 0.3127;
    static final double WHITE_Y = 0.3290;

    /** Where the cube root gives way to a straight line: (6/29) cubed. */
    private static final double KNEE = 216.0 / 24_389;

    private static final double SLOPE = 24_389.0 / 27;

    static Lab ofXyz(double x, double y, double z) {
        double fx = bent(x / (WHITE_X / WHITE_Y));
        double fy = bent(y);
        double fz = bent(z / ((1 - WHITE_X - WHITE_Y) / WHITE_Y));
        return new Lab(116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz));
    }

    double[] xyz() {
        double fy = (l + 16) / 116;
        return new double[] {
            straight(fy + a / 500) * WHITE_X / WHITE_Y,
            straight(fy),
            straight(fy - b / 200) * (1 - WHITE_X - WHITE_Y) / WHITE_Y
        };
    }

    private static double straight(double f) {
        double t = f * f * f;
        return t > KNEE ? t : (116 * f - 16) / SLOPE;
    }

    private static double bent(double t) {
        return t > KNEE ? Math.cbrt(t) : (SLOPE * t + 16) / 116;
    }

    public double chroma() {
        return Math.hypot(a, b);
    }
}
