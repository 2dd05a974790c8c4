package app.jerboa.core.knob;

import app.jerboa.core.value.Reason;
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

    /** Everything that is wrong with a path. */
    static List<Reason> path(String path) {
        List<Reason> wrong = new ArrayList<>(places(path));
        String bare = PLACE.matcher(path).replaceAll("0");
        if (!path.startsWith("/")
                || path.startsWith("//")
                || bare.contains("/../")
                || bare.endsWith("/..")) {
            wrong.add(Reason.of("profile.path-outside"));
        } else if (!PATH.matcher(bare).matches()) {
            wrong.add(Reason.of("profile.path-signs"));
        }
        return wrong;
    }

    /** Names of places that nobody fills in. */
    static List<Reason> places(String text) {
        List<Reason> wrong = new ArrayList<>();
        Matcher matcher = PLACE.matcher(text);
        while (matcher.find()) {
            if (!KNOWN.matcher(matcher.group(1)).matches()
                    && !matcher.group(1).contains("\"")
                    && !matcher.group(1).isEmpty()) {
                wrong.add(Reason.of("profile.place", "place", matcher.group(1)));
            }
        }
        return wrong;
    }

    static boolean hasValue(HttpCall call) {
        return Set.of("{value", "{word}").stream()
                .anyMatch(p -> call.path().contains(p) || call.body().contains(p));
    }
}
