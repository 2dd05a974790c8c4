package app.jerboa.server.cabling;

import app.jerboa.core.job.Job;
import java.util.Locale;

/** Numbers as the run's sums write them: with unit, lengths in the job's. */
final class Figures {
    private static final double METRES_PER_FOOT = 0.3048;

    private final boolean feet;

    Figures(Job job) {
        feet = job.site().units().equals("ft");
    }

    String length(double metres) {
        return feet ? number(metres / METRES_PER_FOOT, 1) + " ft" : number(metres, 1) + " m";
    }

    static String number(double value, int digits) {
        return String.format(Locale.ROOT, "%." + digits + "f", value);
    }

    static String volts(double volts) {
        return number(volts, 2) + " V";
    }

    static String watts(double watts) {
        return number(watts, 2) + " W";
    }

    static String ohms(double ohms) {
        return number(ohms, 3) + " Ω";
    }
}
