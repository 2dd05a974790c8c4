package app.jerboa.wire.http;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.Locale;

/**
 * A place in a request: {@code {value}}, {@code {value:+d}} with its sign always, {@code
 * {value:03d}} with leading zeros, {@code {value:02x}} in hexadecimal digits, {@code {word}}.
 *
 * @param digits least number of them; 0 for as many as there are
 */
record Place(String name, boolean sign, int digits, boolean hex, boolean capitals) {
    private static final int HEX = 16;
    private static final int DECIMAL = 10;
    private static final Pattern SHAPE =
            Pattern.compile("([a-z]+)(?::(\\+?)(?:0([1-8]))?([dxX]))?");

    /**
     * @throws IllegalArgumentException for what is no place
     */
    static Place of(String written) {
        Matcher m = SHAPE.matcher(written);
        if (!m.matches()) {
            throw new IllegalArgumentException("{" + written + "} is no place for a value");
        }
        String kind = m.group(4) == null ? "d" : m.group(4);
        return new Place(
                m.group(1),
                "+".equals(m.group(2)),
                m.group(3) == null ? 0 : Integer.parseInt(m.group(3)),
                !kind.equals("d"),
                kind.equals("X"));
    }

    String write(Values values) {
        if (!name.equals(Values.VALUE)) {
            return values.text(name);
        }
        int value = values.value();
        String bare = Integer.toString(Math.abs(value), base());
        String padded = "0".repeat(Math.max(0, digits - bare.length())) + bare;
        String signed = value < 0 ? "-" + padded : sign ? "+" + padded : padded;
        return capitals ? signed.toUpperCase(Locale.ROOT) : signed;
    }

    int base() {
        return hex ? HEX : DECIMAL;
    }
}
