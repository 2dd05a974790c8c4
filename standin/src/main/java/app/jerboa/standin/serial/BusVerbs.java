package app.jerboa.standin.serial;

import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Profile;
import app.jerboa.wire.dprotocol.DMessage;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;

/** What the four octets mean that only one profile states, such as a wiper's. */
final class BusVerbs {
    /** Of {@code FF aa c1 c2 d1 d2 ss} the two commands and the two data octets. */
    private static final int FIRST = 2;

    private final Map<DMessage.Other, Verb> verbs = new HashMap<>();

    BusVerbs(Profile profile) {
        for (Verb verb : profile.verbs()) {
            verb.sayings().stream()
                    .filter(s -> s.in() == Tongue.D_PROTOCOL)
                    .forEach(s -> verbs.put(octets(s.frame()), verb));
        }
    }

    private static DMessage.Other octets(String frame) {
        String[] pairs = frame.split(" ", -1);
        int[] of = new int[4];
        for (int i = 0; i < of.length; i++) {
            of[i] = HexFormat.fromHexDigits(pairs[FIRST + i]);
        }
        return new DMessage.Other(of[0], of[1], of[2], of[3]);
    }

    Optional<Verb> told(DMessage.Other frame) {
        return Optional.ofNullable(verbs.get(frame));
    }
}
