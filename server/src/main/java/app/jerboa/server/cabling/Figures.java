package app.jerboa.server.cabling;

import app.jerboa.core.job.Job;
import app.jerboa.server.words.Words;
import java.util.Locale;
import java.util.Map;

/** Numbers as the run's sums write them: with unit, lengths in the job's. */
final class Figures {
    private static final double METRES_PER_FOOT = 0.3048;

    private final boolean feet;

    Figures(Job job) {
        feet = job.site().units().equals("ft");
    }

    String length(double metres) {
        return feet
                ? unit("feet", number(metres / METRES_PER_FOOT, 1))
                : unit("metres", number(metres, 1));
    }

    static String number(double value, int digits) {
        return String.format(Locale.ROOT, "%." + digits + "f", value);
    }

    static String volts(double volts) {
        return unit("volts", number(volts, 2));
    }

    static String watts(double watts) {
        return unit("watts", number(watts, 2));
    }

    static String ohms(double ohms) {
        return unit("ohms", number(ohms, 3));
    }

    /**
     * @param unit as the catalogue names it, for example amps
     */
    static String unit(String unit, String number) {
        return Words.say("number." + unit, Map.of("n", number));
    }
}
