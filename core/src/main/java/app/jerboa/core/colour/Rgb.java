package app.jerboa.core.colour;

/**
 * A linear colour by the primaries of ITU-R BT.709, white D65: 0 is black, 1 full scale; what a
 * knob makes of it may be beyond.
 */
public record Rgb(double red, double green, double blue) {
    /** Rows of what turns it into CIE XYZ; worked out from the primaries below. */
    private static final double[][] TO_XYZ = toXyz();

    /** From the code values of a reading, 0 to 255 and not rounded. */
    public static Rgb ofCodes(double red, double green, double blue) {
        return new Rgb(linear(red), linear(green), linear(blue));
    }

    /** The colour that looks so. */
    public static Rgb of(Lab lab) {
        double[] xyz = lab.xyz();
        double all = det(column(0), column(1), column(2));
        return new Rgb(
                det(xyz, column(1), column(2)) / all,
                det(column(0), xyz, column(2)) / all,
                det(column(0), column(1), xyz) / all);
    }

    private static double[] column(int of) {
        return new double[] {TO_XYZ[0][of], TO_XYZ[1][of], TO_XYZ[2][of]};
    }

    /** The code value of a linear one by the curve of BT.709, 0 to 255 and clipped. */
    public static double code(double linear) {
        double v = linear < 0.018 ? 4.5 * linear : 1.099 * Math.pow(linear, 0.45) - 0.099;
        return 255 * Math.max(0, Math.min(1, v));
    }

    /** Inverse of the curve of BT.709. */
    private static double linear(double code) {
        double v = code / 255;
        return v < 0.081 ? v / 4.5 : Math.pow((v + 0.099) / 1.099, 1 / 0.45);
    }

    /** Relative luminance of BT.709, the middle row of the way to XYZ. */
    public double luma() {
        return Luma.RED * red + Luma.GREEN * green + Luma.BLUE * blue;
    }

    /** Weights of the primaries in luminance, by BT.709. */
    static final class Luma {
        static final double RED = 0.2126;
        static final double GREEN = 0.7152;
        static final double BLUE = 0.0722;

        private Luma() {}
    }

    public Lab lab() {
        return Lab.ofXyz(row(0), row(1), row(2));
    }

    private double row(int of) {
        return TO_XYZ[of][0] * red + TO_XYZ[of][1] * green + TO_XYZ[of][2] * blue;
    }

    /** Each primary scaled so that all three together are the white. */
    private static double[][] toXyz() {
        double[][] p = {xyz(0.64, 0.33), xyz(0.30, 0.60), xyz(0.15, 0.06)};
        double[] white = xyz(Lab.WHITE_X, Lab.WHITE_Y);
        double all = det(p[0], p[1], p[2]);
        double[] share = {
            det(white, p[1], p[2]) / all, det(p[0], white, p[2]) / all, det(p[0], p[1], white) / all
        };
        double[][] rows = new double[3][3];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                rows[row][column] = share[column] * p[column][row];
            }
        }
        return rows;
    }

    private static double[] xyz(double x, double y) {
        return new double[] {x / y, 1, (1 - x - y) / y};
    }

    private static double det(double[] a, double[] b, double[] c) {
        return a[0] * (b[1] * c[2] - b[2] * c[1])
                - b[0] * (a[1] * c[2] - a[2] * c[1])
                + c[0] * (a[1] * b[2] - a[2] * b[1]);
    }
}
