package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Octets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Octets with places for values, written nibble by nibble: {@code "01 04 47 0p 0p 0p 0p"}. A hex
 * digit stands for itself, any other letter for a nibble of the value of that letter, the highest
 * first; so {@code p} above has 16 bits.
 */
final class Template {
    private final String nibbles;
    private final Map<Character, Integer> widths = new LinkedHashMap<>();

    private Template(String nibbles) {
        this.nibbles = nibbles;
        for (int i = 0; i < nibbles.length(); i++) {
            if (place(nibbles.charAt(i))) {
                widths.merge(nibbles.charAt(i), 4, Integer::sum);
            }
        }
    }

    /**
     * @throws IllegalArgumentException for half an octet
     */
    static Template of(String written) {
        String nibbles = written.replace(" ", "");
        if (nibbles.length() % 2 != 0) {
            throw new IllegalArgumentException("half an octet in \"" + written + "\"");
        }
        return new Template(nibbles);
    }

    private static boolean place(char c) {
        return Character.digit(c, 16) < 0;
    }

    /** That is the inquiry of what this sets: 09 for 01, then the same category and function. */
    boolean asksSame(Template inquiry) {
        return nibbles.startsWith("01")
                && inquiry.nibbles.startsWith("09")
                && nibbles.startsWith(inquiry.nibbles.substring(2), 2);
    }

    int size() {
        return nibbles.length() / 2;
    }

    /** The letters in the order in which they first stand, each with its width in bits. */
    Map<Character, Integer> places() {
        return widths;
    }

    /**
     * @param values by letter, not negative, no wider than its place
     */
    Octets encode(Map<Character, Integer> values) {
        int[] octets = new int[size()];
        Map<Character, Integer> left = new LinkedHashMap<>(widths);
        for (int i = 0; i < nibbles.length(); i++) {
            char c = nibbles.charAt(i);
            int nibble = Character.digit(c, 16);
            if (place(c)) {
                int shift = left.merge(c, -4, Integer::sum);
                nibble = values.get(c) >> shift & 0xF;
            }
            octets[i / 2] |= i % 2 == 0 ? nibble << 4 : nibble;
        }
        return Octets.of(octets);
    }

    /** The values by letter; empty when the octets are others. */
    Optional<Map<Character, Integer>> decode(Octets octets) {
        if (octets.size() != size()) {
            return Optional.empty();
        }
        Map<Character, Integer> values = new LinkedHashMap<>();
        for (int i = 0; i < nibbles.length(); i++) {
            int octet = octets.at(i / 2);
            int nibble = i % 2 == 0 ? octet >> 4 : octet & 0xF;
            char c = nibbles.charAt(i);
            if (place(c)) {
                values.merge(c, nibble, (high, low) -> high << 4 | low);
            } else if (Character.digit(c, 16) != nibble) {
                return Optional.empty();
            }
        }
        return Optional.of(values);
    }
}
