package app.jerboa.core.item;

import app.jerboa.core.value.Lengths;
import app.jerboa.core.value.TextRejected;
import java.util.Locale;
import java.util.regex.Pattern;

/** What people type, written the one way it is stored; what makes no sense is left as it is. */
public final class Tidy {
    private static final Pattern MAC_SIGNS = Pattern.compile("[:.\\- ]");
    private static final Pattern MAC_DIGITS = Pattern.compile("[0-9a-f]{12}");

    private Tidy() {}

    /**
     * @param units the job's: what a bare length means, {@code m} or {@code ft}
     */
    public static String tidy(FieldType type, String typed, String units) {
        return switch (type.shape()) {
            case MAC -> mac(typed);
            case LENGTH -> length(typed, units);
            case NAME, NUMBER, ADDRESS, SUBNET, CHOICE -> typed.strip();
            case TEXT, FLAG, LIST, PROFILE, FACTS, REFERENCE -> typed;
        };
    }

    private static String mac(String typed) {
        String digits = MAC_SIGNS.matcher(typed.strip()).replaceAll("").toLowerCase(Locale.ROOT);
        return MAC_DIGITS.matcher(digits).matches()
                ? digits.replaceAll("(..)(?!$)", "$1:")
                : typed.strip();
    }

    private static String length(String typed, String units) {
        try {
            return Lengths.parse(typed, units);
        } catch (TextRejected e) {
            return typed;
        }
    }
}
