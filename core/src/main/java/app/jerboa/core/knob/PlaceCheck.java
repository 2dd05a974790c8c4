package app.jerboa.core.knob;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Do the places of a request have names we fill in, and does its path stay at the device? */
final class PlaceCheck {
    private static final Pattern PLACE = Pattern.compile("\\{([^{}]*)\\}");
    private static final Pattern KNOWN = Pattern.compile("value(:\\+?(0[1-8])?[dxX])?|word");

    /** What a path may hold beside its places: no second host, no way up, nothing to be escaped. */
    private static final Pattern PATH =
            Pattern.compile("/([A-Za-z0-9._~!$&'()*+,;=:@%?/\\[\\]-])*");

    private PlaceCheck() {}

    /** Everything that is wrong with a path, in words. */
    static List<String> path(String path) {
        List<String> wrong = new ArrayList<>(places(path));
        String bare = PLACE.matcher(path).replaceAll("0");
        if (!path.startsWith("/")
                || path.startsWith("//")
                || bare.contains("/../")
                || bare.endsWith("/..")) {
            wrong.add("it must begin with one / and stay at the device's own address");
        } else if (!PATH.matcher(bare).matches()) {
            wrong.add("letters, digits and the signs of an address only; others as %20");
        }
        return wrong;
    }

    /** Names of places that nobody fills in. */
    static List<String> places(String text) {
        List<String> wrong = new ArrayList<>();
        Matcher matcher = PLACE.matcher(text);
        while (matcher.find()) {
            if (!KNOWN.matcher(matcher.group(1)).matches()
                    && !matcher.group(1).contains("\"")
                    && !matcher.group(1).isEmpty()) {
                wrong.add("{" + matcher.group(1) + "} is no place: {value}, {value:+d} or {word}");
            }
        }
        return wrong;
    }

    static boolean hasValue(HttpCall call) {
        return Set.of("{value", "{word}").stream()
                .anyMatch(p -> call.path().contains(p) || call.body().contains(p));
    }
}
