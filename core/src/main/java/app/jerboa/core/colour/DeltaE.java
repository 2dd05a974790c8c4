package app.jerboa.core.colour;

/** How different two colours look: CIEDE2000 of ISO/CIE 11664-6, all weights 1. */
public final class DeltaE {
    /** 25 to the seventh. */
    private static final double FAR = 6_103_515_625.0;

    private DeltaE() {}

    public static double of(Lab one, Lab other) {
        double mean7 = Math.pow((one.chroma() + other.chroma()) / 2, 7);
        double g = 0.5 * (1 - Math.sqrt(mean7 / (mean7 + FAR)));
        double a1 = (1 + g) * one.a();
        double a2 = (1 + g) * other.a();
        double c1 = Math.hypot(a1, one.b());
        double c2 = Math.hypot(a2, other.b());
        double h1 = hue(a1, one.b());
        double h2 = hue(a2, other.b());

        double lightness = other.l() - one.l();
        double chroma = c2 - c1;
        double turn = c1 * c2 == 0 ? 0 : shortest(h2 - h1);
        double hue = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(turn) / 2);

        double lMean = (one.l() + other.l()) / 2;
        double cMean = (c1 + c2) / 2;
        double hMean = meanHue(h1, h2, c1 * c2 == 0);
        double t =
                1
                        - 0.17 * cos(hMean - 30)
                        + 0.24 * cos(2 * hMean)
                        + 0.32 * cos(3 * hMean + 6)
                        - 0.20 * cos(4 * hMean - 63);
        double off = (lMean - 50) * (lMean - 50);
        double sl = 1 + 0.015 * off / Math.sqrt(20 + off);
        double sc = 1 + 0.045 * cMean;
        double sh = 1 + 0.015 * cMean * t;
        double cMean7 = Math.pow(cMean, 7);
        double blue = 30 * Math.exp(-Math.pow((hMean - 275) / 25, 2));
        double rt = -2 * Math.sqrt(cMean7 / (cMean7 + FAR)) * Math.sin(Math.toRadians(2 * blue));
        double dl = lightness / sl;
        double dc = chroma / sc;
        double dh = hue / sh;
        return Math.sqrt(dl * dl + dc * dc + dh * dh + rt * dc * dh);
    }

    /** 0 to below 360 degrees; a grey has 0. */
    private static double hue(double a, double b) {
        if (a == 0 && b == 0) {
            return 0;
        }
        double degrees = Math.toDegrees(Math.atan2(b, a));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double shortest(double turn) {
        return turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
    }

    private static double meanHue(double h1, double h2, boolean grey) {
        if (grey) {
            return h1 + h2;
        }
        double sum = h1 + h2;
        if (Math.abs(h1 - h2) <= 180) {
            return sum / 2;
        }
        return sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
