package app.jerboa.core.video;

import java.util.Locale;
import java.util.Optional;

/** Coaxial cable: loss in dB per 100 m is a sqrt(f) + b f, f in MHz at half the link's rate. */
public enum Coax {
    RG6(0.63, 0.0012),
    RG59(0.78, 0.0013),
    MINI(1.09, 0.0015);

    private static final double FAST_GBPS = 2.97;
    private static final double ALLOWED_DB = 20;
    private static final double ALLOWED_FAST_DB = 40;

    private final double root;
    private final double linear;

    Coax(double root, double linear) {
        this.root = root;
        this.linear = linear;
    }

    /** By its name in any case. */
    public static Optional<Coax> of(String name) {
        try {
            return Optional.of(valueOf(name.toUpperCase(Locale.ROOT)));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /**
     * @param linkGbps of the link
     */
    public double lossDbPer100m(double linkGbps) {
        double mhz = linkGbps * 1000 / 2;
        return root * Math.sqrt(mhz) + linear * mhz;
    }

    /** What a receiver makes up for where its profile does not say: 20 dB, 40 dB above 3G. */
    public static double allowedDb(double linkGbps) {
        return linkGbps > FAST_GBPS ? ALLOWED_FAST_DB : ALLOWED_DB;
    }

    public double longestMetres(double linkGbps, double allowedDb) {
        return allowedDb / lossDbPer100m(linkGbps) * 100;
    }
}
