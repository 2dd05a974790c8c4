package app.jerboa.core.value;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Lengths as people type them; inside they are metres with up to three decimals. */
public final class Lengths {
    /** Metres in a unit; 1 ft is 0.3048 m exactly. */
    private static final Map<String, BigDecimal> METRES =
            Map.ofEntries(
                    Map.entry("m", BigDecimal.ONE),
                    Map.entry("cm", new BigDecimal("0.01")),
                    Map.entry("mm", new BigDecimal("0.001")),
                    Map.entry("ft", new BigDecimal("0.3048")),
                    Map.entry("'", new BigDecimal("0.3048")),
                    Map.entry("in", new BigDecimal("0.0254")),
                    Map.entry("\"", new BigDecimal("0.0254")));

    private static final List<String> FEET = List.of("ft", "'");
    private static final List<String> INCHES = List.of("in", "\"");
    private static final Pattern TYPED =
            Pattern.compile(
                    "(\\d{1,6}(?:[.,]\\d{1,4})?)\\s*([a-zA-Z'\"]{0,2})(?:\\s*(\\d{1,2}(?:[.,]\\d{1,4})?)\\s*(in|\"))?");

    private Lengths() {}

    /**
     * @param text for example {@code 80ft}, {@code 24.4 m}, {@code 6' 3"} or {@code 30}
     * @param units what a bare number means, {@code m} or {@code ft}
     * @return metres as they are stored, without needless zeros
     * @throws TextRejected for anything else
     */
    public static String parse(String text, String units) {
        String stripped = text.strip();
        Matcher m = TYPED.matcher(stripped);
        if (!m.matches()) {
            throw rejected(text, 0);
        }
        String unit = m.group(2).isEmpty() ? units : m.group(2).toLowerCase(Locale.ROOT);
        if (!METRES.containsKey(unit) || m.group(3) != null && !FEET.contains(unit)) {
            throw rejected(text, text.indexOf(stripped) + m.start(2));
        }
        BigDecimal metres = number(m.group(1)).multiply(METRES.get(unit));
        if (m.group(3) != null) {
            metres = metres.add(number(m.group(3)).multiply(METRES.get(INCHES.get(0))));
        }
        return plain(metres);
    }

    private static BigDecimal number(String digits) {
        return new BigDecimal(digits.replace(',', '.'));
    }

    /** Metres as they are stored. */
    public static String text(double metres) {
        return plain(BigDecimal.valueOf(metres));
    }

    private static String plain(BigDecimal metres) {
        BigDecimal rounded = metres.setScale(3, RoundingMode.HALF_UP).stripTrailingZeros();
        return rounded.scale() < 0 ? rounded.setScale(0).toPlainString() : rounded.toPlainString();
    }

    private static TextRejected rejected(String text, int index) {
        return new TextRejected(text, index, Reason.of("text.length-like"));
    }
}
