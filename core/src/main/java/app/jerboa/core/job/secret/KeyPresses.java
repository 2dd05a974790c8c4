package app.jerboa.core.job.secret;

import app.jerboa.core.profile.Letters;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** How a text is typed at a device, one press after the other. */
public final class KeyPresses {
    private static final Map<Character, String> NAMES =
            Map.ofEntries(
                    Map.entry(' ', "space"),
                    Map.entry('-', "minus"),
                    Map.entry('_', "underscore"),
                    Map.entry('.', "dot"),
                    Map.entry('!', "exclamation mark"),
                    Map.entry('@', "at sign"),
                    Map.entry('#', "hash"),
                    Map.entry('/', "slash"),
                    Map.entry('l', "small L"),
                    Map.entry('I', "capital i"),
                    Map.entry('O', "capital o"),
                    Map.entry('o', "small O"),
                    Map.entry('0', "zero"),
                    Map.entry('1', "one"));

    private KeyPresses() {}

    /**
     * @param letters what the device types without changing mode; the mode is changed where the
     *     text leaves it
     * @return for each press what it is, in words where it could be mistaken
     */
    public static List<String> of(String text, Letters letters) {
        List<String> presses = new ArrayList<>();
        String mode = mode(letters == Letters.DIGITS ? '2' : 'a');
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (letters != Letters.ANY && !fits(c, letters) && !mode(c).equals(mode)) {
                mode = mode(c);
                presses.add("mode: " + mode);
            } else if (letters != Letters.ANY && fits(c, letters) && !mode.equals(home(letters))) {
                mode = home(letters);
                presses.add("mode: " + mode);
            }
            presses.add(name(c));
        }
        return presses;
    }

    /** The whole of it can be typed without changing mode. */
    public static boolean oneMode(String text, Letters letters) {
        return letters == Letters.ANY || text.chars().allMatch(c -> fits((char) c, letters));
    }

    private static String home(Letters letters) {
        return mode(letters == Letters.DIGITS ? '2' : 'a');
    }

    private static boolean fits(char c, Letters letters) {
        boolean digit = c >= '0' && c <= '9';
        return digit || letters == Letters.LOWER_AND_DIGITS && c >= 'a' && c <= 'z';
    }

    private static String mode(char c) {
        if (c >= '0' && c <= '9') {
            return "digits";
        }
        if (c >= 'a' && c <= 'z') {
            return "small letters";
        }
        return c >= 'A' && c <= 'Z' ? "capitals" : "signs";
    }

    private static String name(char c) {
        if (NAMES.containsKey(c)) {
            return NAMES.get(c);
        }
        return c >= 'A' && c <= 'Z' ? "capital " + c : Character.toString(c);
    }
}
